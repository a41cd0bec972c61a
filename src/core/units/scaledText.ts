import { countUnitOf, PARTS_OF_ONE } from './counting';
import { parseQuantity } from './parseQuantity';
import { figureOf, type SingleQuantity } from './quantity';
import { spokenNumber } from './spokenNumber';
import { writeFigure } from './writeQuantity';

const DECIMALS = { nearest: 6, down: 4, up: 4 } as const;
const SAME_WITHIN = 1e-9;

/**
 * A dose's text times a factor in the unit that it was typed in: `14 drops` times 0.95 is `13 drops`, `1 tsp` times 2 is
 * `2 tsp`. What is counted comes in whole counts.
 *
 * @param rounding 'down' where a limit must not be passed, 'up' where a least must be reached
 * @returns null where the text is no single figure with its unit, or nothing would be left of it
 */
export function scaledText(text: string, factor: number, rounding: 'nearest' | 'down' | 'up'): string | null {
  const before = single(text);
  const number = spokenNumber(text.trim());
  if (!before || !number.success) return null;
  const { value, rest } = number.data;
  const scaled = scaledFigure(value * factor, partsOf(before, text), rounding);
  const written = `${scaled}${/^[\s%]/.test(rest) ? '' : ' '}${rest}`;
  const after = single(written);
  if (!after || after.kind !== before.kind || !(Number(scaled) > 0)) return null;
  // “1 lb 4 oz” is more than its first figure.
  const by = figureOf(after) / figureOf(before) / (Number(scaled) / value);
  return Math.abs(by - 1) < SAME_WITHIN ? written : null;
}

function scaledFigure(value: number, parts: number | null, rounding: 'nearest' | 'down' | 'up'): string {
  if (parts === null) return writeFigure(value, DECIMALS[rounding], rounding);
  const counts = Number(writeFigure(value * parts, 0, rounding));
  return writeFigure((rounding === 'nearest' ? Math.max(1, counts) : counts) / parts, DECIMALS[rounding]);
}

/** null for what has no finest part: weights, spoons, millilitres. */
function partsOf(quantity: SingleQuantity, text: string): number | null {
  const unit = countUnitOf(quantity, text);
  return unit === null || unit === 'spoons' || unit === 'millilitres' ? null : PARTS_OF_ONE[unit];
}

function single(text: string): SingleQuantity | null {
  const parsed = parseQuantity(text);
  if (!parsed.success || parsed.data.kind === 'range' || parsed.data.kind === 'toTaste') return null;
  return parsed.data.kind === 'times' ? null : parsed.data;
}
