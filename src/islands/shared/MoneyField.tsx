import { type ReactNode, useEffect, useId, useState } from 'react';
import { MINOR_DIGITS, moneyOf } from '../../core/units/money';
import { type FigureRule, parseFigure } from '../../core/units/parseFigure';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { UnitInput } from './UnitInput';

interface Props {
  label: ReactNode;
  /** A decimal text; null where it is not reckoned. */
  value: string | null;
  currency: string;
  /** Said where it is left empty. */
  none?: string;
  className?: string;
  onChange(value: string | null): void;
  /** Whether what stands there can be read: a form does not send the amount of before in its place. */
  onReadable?(is: boolean): void;
}

const AMOUNT: FigureRule = { unit: '', least: 0, most: 999_999 };

/** An amount of money, or none; saved once it can be read. */
export function MoneyField({
  label,
  value,
  currency,
  none = 'Not reckoned.',
  className = '',
  onChange,
  onReadable,
}: Props) {
  const id = useId();
  const [text, setText] = useState(value ?? '');
  const said = moneyIn(text);

  useEffect(() => {
    // It changed from elsewhere (undo, another screen): show it, unless the text already says the same.
    setText((before) => (moneyIn(before).value === value ? before : (value ?? '')));
  }, [value]);

  return (
    <UnitInput
      {...{ id, label, text, className }}
      unit={currency}
      isFaulty={said.fault !== null}
      saysId={`${id}-says`}
      onText={(next) => {
        setText(next);
        const read = moneyIn(next);
        if (read.value !== undefined) onChange(read.value);
        onReadable?.(read.value !== undefined);
      }}
    >
      <span id={`${id}-says`} className={`text-xs ${said.fault === null ? 'quiet' : 'text-error'}`}>
        {said.fault ?? (said.value === null ? none : '')}
      </span>
    </UnitInput>
  );
}

/** What a text says: nothing is no amount. */
function moneyIn(text: string): { value: string | null | undefined; fault: string | null } {
  if (text.trim() === '') return { value: null, fault: null };
  const read = parseFigure(text, AMOUNT);
  return read.success
    ? { value: moneyOf(Math.round(read.data * 10 ** MINOR_DIGITS)), fault: null }
    : { value: undefined, fault: explainFigureFault(read.error, AMOUNT) };
}
