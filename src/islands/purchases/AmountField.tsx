import type { ReactNode } from 'react';
import { fail, ok, type Result } from '../../core/result';
import { parseFigure } from '../../core/units/parseFigure';
import { parseMass } from '../../core/units/parseMass';
import { massUnit, type Showing } from '../../core/units/showQuantity';
import { writeMass } from '../../core/units/writeQuantity';
import { explainFigureFault } from '../../words/en/units/figureFault';
import { explainWeightFault } from '../../words/en/units/weightFault';
import { ParsedField } from '../shared/ParsedField';
import { useShowing } from '../shared/showing';

interface Props {
  label: ReactNode;
  /** Grams, or pieces of what is counted. */
  amount: number;
  isCounted: boolean;
  className?: string;
  onChange(amount: number): void;
}

const PIECES = { unit: '', least: 1, most: 1e6, whole: true };
const MOST_G = 1e6;

/** How much of a material: pieces, or a weight in any unit. */
export function AmountField({ label, amount, isCounted, className = '', onChange }: Props) {
  const showing = useShowing();
  return (
    <ParsedField
      label={
        <>
          {label}, {isCounted ? 'pieces' : massUnit(showing.system)}
        </>
      }
      className={className}
      written={isCounted ? String(amount) : writeMass(amount, showing.system)}
      read={(text) => readAmount(text, isCounted, showing)}
      onChange={onChange}
    />
  );
}

function readAmount(text: string, isCounted: boolean, { system }: Showing): Result<number, string> {
  if (isCounted) {
    const read = parseFigure(text, PIECES);
    return read.success ? read : fail(explainFigureFault(read.error, PIECES));
  }
  const read = parseMass(text, system);
  if (!read.success) return fail(explainWeightFault(read.error));
  return read.data > 0 && read.data <= MOST_G
    ? ok(read.data)
    : fail('That is nothing, or more than 1000 kg.');
}
