import { useId, useState } from 'react';
import { MINOR_DIGITS, moneyOf } from '../../core/units/money';
import { parseFigure } from '../../core/units/parseFigure';
import { explainFigureFault } from '../../words/en/units/figureFault';

interface Props {
  label: string;
  /** A decimal text; null where it is not reckoned. */
  value: string | null;
  currency: string;
  onChange(value: string | null): void;
}

/** An amount of money, or none; saved once it can be read. */
export function MoneyField({ label, value, currency, onChange }: Props) {
  const id = useId();
  const [text, setText] = useState(value ?? '');
  const rule = { unit: currency, least: 0, most: 999_999 };
  const parsed = text.trim() === '' ? null : parseFigure(text, rule);
  const fault = parsed && !parsed.success ? explainFigureFault(parsed.error, rule) : null;
  return (
    <div className="flex flex-col">
      <label htmlFor={id} className="quiet text-xs">
        {label}
      </label>
      <div className="relative">
        <input
          id={id}
          className={`input input-sm w-full pr-10 pointer-coarse:min-h-11 ${fault === null ? '' : 'input-error'}`}
          inputMode="decimal"
          autoComplete="off"
          value={text}
          aria-invalid={fault !== null}
          aria-describedby={`${id}-says`}
          onChange={({ target }) => {
            setText(target.value);
            if (target.value.trim() === '') return onChange(null);
            const read = parseFigure(target.value, rule);
            if (read.success) onChange(moneyOf(Math.round(read.data * 10 ** MINOR_DIGITS)));
          }}
        />
        <span className="quiet pointer-events-none absolute top-1/2 right-2 -translate-y-1/2 text-xs">
          {currency}
        </span>
      </div>
      <span id={`${id}-says`} className={`text-xs ${fault === null ? 'quiet' : 'text-error'}`}>
        {fault ?? (text.trim() === '' ? 'Not reckoned.' : '')}
      </span>
    </div>
  );
}
