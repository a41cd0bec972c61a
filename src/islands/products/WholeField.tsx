import { useId } from 'react';
import { type FigureRule, parseFigure } from '../../core/units/parseFigure';
import { explainFigureFault } from '../../words/en/units/figureFault';

interface Props {
  label: string;
  text: string;
  rule: FigureRule;
  className?: string;
  onText(text: string): void;
}

/** A figure as it is typed: what can't be read is said, and is no figure until it can. */
export function WholeField({ label, text, rule, className = '', onText }: Props) {
  const id = useId();
  const read = parseFigure(text, rule);
  return (
    <div className={`flex flex-col ${className}`}>
      <label htmlFor={id} className="quiet text-xs">
        {label}
      </label>
      <input
        id={id}
        className={`input input-sm pointer-coarse:min-h-11 w-full ${read.success ? '' : 'input-error'}`}
        inputMode="numeric"
        autoComplete="off"
        value={text}
        aria-invalid={!read.success}
        aria-describedby={read.success ? undefined : `${id}-why`}
        onChange={({ target }) => onText(target.value)}
      />
      {!read.success && (
        <p id={`${id}-why`} role="alert" className="text-error text-xs">
          {explainFigureFault(read.error, rule)}
        </p>
      )}
    </div>
  );
}
