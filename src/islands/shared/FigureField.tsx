import { lazy, Suspense, useEffect, useId, useState } from 'react';
import { type FigureRule, parseFigure } from '../../core/units/parseFigure';
import { writeFigure } from '../../core/units/writeQuantity';
import { UnitInput } from './UnitInput';

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
    <UnitInput
      {...{ id, label, text, disabled, className }}
      unit={rule.unit}
      isWhole={rule.whole}
      isFaulty={!parsed.success}
      saysId={parsed.success ? null : `${id}-why`}
      onText={(next) => {
        setText(next);
        const read = parseFigure(next, rule);
        if (read.success) onChange(read.data);
      }}
    >
      {!parsed.success && (
        <p id={`${id}-why`} role="alert" className="text-error max-w-44 text-xs">
          <Suspense>
            <FigureFault fault={parsed.error} rule={rule} />
          </Suspense>
        </p>
      )}
    </UnitInput>
  );
}
