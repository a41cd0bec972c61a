import { lazy, Suspense, useEffect, useId, useState } from 'react';
import { type FigureRule, parseFigure } from '../../core/units/parseFigure';
import { writeFigure } from '../../core/units/writeQuantity';

interface Props {
  label: string;
  value: number;
  rule: FigureRule;
  disabled?: boolean;
  className?: string;
  onChange(value: number): void;
}

const FigureFault = lazy(() => import('./FigureFault'));

const DECIMALS = 4;

/** A number with its unit beside it. What can't be read stays in the field with the reason; the last good value holds. */
export function FigureField({ label, value, rule, disabled, className = '', onChange }: Props) {
  const id = useId();
  const written = writeFigure(value, DECIMALS);
  const [text, setText] = useState(written);
  const parsed = parseFigure(text, rule);

  useEffect(() => {
    // The value changed from elsewhere (undo, a mend): show it, unless the text already says the same.
    setText((before) => {
      const read = parseFigure(before, rule);
      return read.success && writeFigure(read.data, DECIMALS) === written ? before : written;
    });
  }, [written, rule]);

  return (
    <div className={`flex flex-col ${className}`}>
      <label htmlFor={id} className="quiet text-xs">
        {label}
      </label>
      <div className="relative">
        <input
          id={id}
          className={`input input-sm w-full pointer-coarse:min-h-11 ${rule.unit ? 'pr-8' : ''} ${parsed.success ? '' : 'input-error'}`}
          inputMode={rule.whole ? 'numeric' : 'decimal'}
          autoComplete="off"
          value={text}
          disabled={disabled}
          aria-invalid={!parsed.success}
          aria-describedby={parsed.success ? undefined : `${id}-why`}
          onChange={({ target }) => {
            setText(target.value);
            const read = parseFigure(target.value, rule);
            if (read.success) onChange(read.data);
          }}
        />
        {rule.unit && (
          <span className="quiet pointer-events-none absolute top-1/2 right-2 -translate-y-1/2 text-xs">
            {rule.unit}
          </span>
        )}
      </div>
      {!parsed.success && (
        <p id={`${id}-why`} role="alert" className="text-error max-w-44 text-xs">
          <Suspense>
            <FigureFault fault={parsed.error} rule={rule} />
          </Suspense>
        </p>
      )}
    </div>
  );
}
