import type { ReactNode } from 'react';
import type { UseFormRegisterReturn } from 'react-hook-form';
import { type FigureRule, parseFigure } from '../../core/units/parseFigure';
import { z } from '../../core/zod';
import { explainFigureFault } from '../../words/en/units/figureFault';

/** A form's text that must be a figure of `rule`. */
export function figureText(rule: FigureRule) {
  return z.string().transform((text, context) => {
    const parsed = parseFigure(text, rule);
    if (parsed.success) return parsed.data;
    context.addIssue({ code: 'custom', message: explainFigureFault(parsed.error, rule) });
    return z.NEVER;
  });
}

export function nameText(longest: number) {
  return z.string().trim().min(1, 'Give it a name.').max(longest, `${longest} characters at the most.`);
}

interface FieldProps {
  label: string;
  hint?: string;
  unit?: string;
  error: { message?: string } | undefined;
  registered: UseFormRegisterReturn;
  decimal?: boolean;
  type?: 'text' | 'date';
}

/** A labelled text field with its unit, its hint, and its error beside it. */
export function TextField({ label, hint, unit, error, registered, decimal, type = 'text' }: FieldProps) {
  const id = `field-${registered.name.replaceAll('.', '-')}`;
  return (
    <div>
      <label htmlFor={id} className="text-sm font-semibold">
        {label}
        {unit && <span className="quiet font-normal">, {unit}</span>}
      </label>
      <input
        id={id}
        type={type}
        className={`input min-h-11 w-full ${error ? 'input-error' : ''}`}
        autoComplete="off"
        inputMode={decimal ? 'decimal' : 'text'}
        aria-invalid={error !== undefined}
        aria-describedby={error || hint ? `${id}-says` : undefined}
        {...registered}
      />
      {(error || hint) && (
        <p
          id={`${id}-says`}
          className={`text-xs ${error ? 'text-error' : 'quiet'}`}
          role={error ? 'alert' : undefined}
        >
          {error?.message ?? hint}
        </p>
      )}
    </div>
  );
}

interface SelectProps {
  label: string;
  registered: UseFormRegisterReturn;
  children: ReactNode;
}

export function SelectField({ label, registered, children }: SelectProps) {
  const id = `field-${registered.name.replaceAll('.', '-')}`;
  return (
    <div>
      <label htmlFor={id} className="text-sm font-semibold">
        {label}
      </label>
      <select id={id} className="select min-h-11 w-full" {...registered}>
        {children}
      </select>
    </div>
  );
}

/** The options of a record of names. */
export function options(names: Record<string, string>) {
  return Object.entries(names).map(([value, name]) => (
    <option key={value} value={value}>
      {name}
    </option>
  ));
}
