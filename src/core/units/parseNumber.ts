import { fail, ok, type Result } from '../result';

/** A number at the head of a text, and what follows it. */
export interface NumberRead {
  value: number;
  rest: string;
}

export type NumberFault =
  | { code: 'no-number'; found: string }
  | { code: 'ambiguous-number'; found: string; readings: [string, string] }
  | { code: 'divided-by-zero'; found: string };

const VULGAR: Record<string, number> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅕': 1 / 5,
  '⅖': 2 / 5,
  '⅗': 3 / 5,
  '⅘': 4 / 5,
  '⅙': 1 / 6,
  '⅚': 5 / 6,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};
const VULGAR_CLASS = `[${Object.keys(VULGAR).join('')}]`;

const MIXED = /^(\d+)(?:\s+|\s?-\s?)(\d+)\s*[/⁄]\s*(\d+)/;
const FRACTION = /^(\d+)\s*[/⁄]\s*(\d+)/;
const WITH_VULGAR = new RegExp(`^(?:(\\d+)[\\s-]*)?(${VULGAR_CLASS})`);
/** Digits in groups of three, with spaces between: `1 000`, `12 500.5`. */
const SPACED = /^[1-9]\d{0,2}(?: \d{3})+(?:[.,]\d+)?(?![\d./⁄])/;
const DECIMAL = /^(?:\d+(?:[.,]\d+)*|[.,]\d+)/;

/**
 * Reads the number at the head of `text`: `2`, `2.5`, `2,5`, `.5`, `1/2`, `1 1/2`, `1-1/2`, `½`, `1½`, `1 000`,
 * `1.234,5`. Unsigned.
 *
 * A comma or a point is a decimal mark. `1,250` could be either, and is refused with both readings.
 */
export function parseNumber(text: string): Result<NumberRead, NumberFault> {
  const mixed = MIXED.exec(text);
  if (mixed) return readFraction(text, mixed[0], Number(mixed[1]), Number(mixed[2]), Number(mixed[3]));

  const fraction = FRACTION.exec(text);
  if (fraction) return readFraction(text, fraction[0], 0, Number(fraction[1]), Number(fraction[2]));

  const vulgar = WITH_VULGAR.exec(text);
  if (vulgar) {
    const value = Number(vulgar[1] ?? 0) + (VULGAR[vulgar[2] ?? ''] ?? 0);
    return ok({ value, rest: text.slice(vulgar[0].length) });
  }

  const spaced = SPACED.exec(text)?.[0];
  if (spaced !== undefined)
    return ok({
      value: Number(spaced.replaceAll(' ', '').replace(',', '.')),
      rest: text.slice(spaced.length),
    });

  const decimal = DECIMAL.exec(text)?.[0];
  if (decimal === undefined) return fail({ code: 'no-number', found: text });
  return readDecimal(text, decimal);
}

function readFraction(
  text: string,
  matched: string,
  whole: number,
  above: number,
  below: number,
): Result<NumberRead, NumberFault> {
  if (below === 0) return fail({ code: 'divided-by-zero', found: matched });
  return ok({ value: whole + above / below, rest: text.slice(matched.length) });
}

/** Groups of three behind one mark, and then the other mark: `1,234.5` and `1.234,5` can be read in one way only. */
const GROUPED = /^[1-9]\d{0,2}(?:,\d{3})+\.\d+$|^[1-9]\d{0,2}(?:\.\d{3})+,\d+$/;

function readDecimal(text: string, decimal: string): Result<NumberRead, NumberFault> {
  const marks = decimal.match(/[.,]/g) ?? [];
  const rest = text.slice(decimal.length);
  const lastMark = Math.max(decimal.lastIndexOf(','), decimal.lastIndexOf('.'));
  const split = () => `${decimal.slice(0, lastMark).replace(/[.,]/g, '')}.${decimal.slice(lastMark + 1)}`;
  if (GROUPED.test(decimal)) return ok({ value: Number(split()), rest });
  const thousands = /^[1-9]\d{0,2},\d{3}$/.test(decimal);
  if (marks.length > 1 || thousands) {
    const bare = decimal.replace(/[.,]/g, '');
    return fail({ code: 'ambiguous-number', found: decimal, readings: [bare, split()] });
  }
  return ok({ value: Number(decimal.replace(',', '.')), rest });
}
