import { useState } from 'react';

/** Saved once it has three letters. */
export function CurrencyField({ value, onChange }: { value: string; onChange(value: string): void }) {
  const [text, setText] = useState(value);
  const isRight = /^[A-Z]{3}$/.test(text);
  return (
    <label className="flex flex-col">
      <span className="quiet text-xs">Currency</span>
      <input
        className={`input input-sm pointer-coarse:min-h-11 w-full ${isRight ? '' : 'input-error'}`}
        maxLength={3}
        value={text}
        aria-invalid={!isRight}
        aria-describedby="currency-says"
        onChange={({ target }) => {
          const next = target.value.toUpperCase();
          setText(next);
          if (/^[A-Z]{3}$/.test(next)) onChange(next);
        }}
      />
      <span id="currency-says" className={`text-xs ${isRight ? 'quiet' : 'text-error'}`}>
        {isRight ? 'Three letters: EUR, GBP, USD' : 'Three letters are needed, such as EUR.'}
      </span>
    </label>
  );
}
