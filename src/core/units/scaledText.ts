import { parseQuantity } from './parseQuantity';
import { type SingleQuantity, sizeOf } from './quantity';
import { spokenNumber } from './spokenNumber';
import { writeFigure } from './writeQuantity';

/** What is counted comes in whole drops and capsules, half scoops and eighths of a block. */
const DECIMALS = 4;
const PARTS: readonly [RegExp, number][] = [
  [/^\s*(?:drop|capsule|gtt)/i, 1],
  [/^\s*scoop/i, 2],
  [/^\s*(?:colou?r )?block/i, 8],
];

/**
 * A dose's text times a factor in the unit that it was typed in: `14 drops` times 0.95 is `13 drops`.
 *
 * @param rounding 'down' where a limit must not be passed, 'up' where a least must be reached
 * @returns null where the text is no single figure with its unit, or nothing would be left of it
 */
export function scaledText(text: string, factor: number, rounding: 'down' | 'up'): string | null {
  const before = single(text);
  const number = spokenNumber(text.trim());
  if (!before || !number.success) return null;
  const { value, rest } = number.data;
  const parts = PARTS.find(([pattern]) => pattern.test(rest))?.[1];
  const figure = parts
    ? writeFigure(Number(writeFigure(value * factor * parts, 0, rounding)) / parts, DECIMALS)
    : writeFigure(value * factor, DECIMALS, rounding);
  const scaled = `${figure}${/^[\s%]/.test(rest) ? '' : ' '}${rest}`;
  const after = single(scaled);
  if (!after || after.kind !== before.kind) return null;
  const by = figureOf(after) / figureOf(before);
  const isWithin = rounding === 'down' ? by <= factor * (1 + 1e-9) : by >= factor * (1 - 1e-9);
  return isWithin && by > 0 ? scaled : null;
}

function single(text: string): SingleQuantity | null {
  const parsed = parseQuantity(text);
  if (!parsed.success || parsed.data.kind === 'range' || parsed.data.kind === 'toTaste') return null;
  return parsed.data.kind === 'times' ? null : parsed.data;
}

function figureOf(quantity: SingleQuantity): number {
  switch (quantity.kind) {
    case 'perPiece':
    case 'perBase':
      return sizeOf(quantity.amount);
    default:
      return Object.values(quantity).find((value) => typeof value === 'number') ?? 0;
  }
}
