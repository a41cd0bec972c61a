import type { HouseRules } from '../houseRules/houseRules';

/** Letters that are told apart when read aloud or from tape: no I, O, Q. Twenty-three, which is a prime. */
const CHECK_LETTERS = 'ABCDEFGHJKLMNPRSTUVWXYZ';
/** What a code can be told from any other by, whatever stands between: its day or its year, its number, its letter. */
const CODE = /^(\d{6}|\d{2})-?(\d{1,3})([A-Z])$/;

/** A run's code before its number: of its day, or only of its year, which says less to a customer and is shorter. */
export function batchPrefix(
  pattern: HouseRules['batchCode'],
  year: number,
  month: number,
  day: number,
): string {
  const whole = batchDay(year, month, day);
  return pattern === 'day' ? whole : whole.slice(0, 2);
}

/** A run's code before its number: `261128` on 28 November 2026. */
export function batchDay(year: number, month: number, day: number): string {
  return [year % 100, month, day].map((each) => String(each).padStart(2, '0')).join('');
}

/**
 * The code of a batch: its day or year, which one of that it is, and a letter that any one wrong digit, and any two digits that
 * changed places, make wrong.
 *
 * @param number from 1
 */
export function batchCode(prefix: string, number: number): string {
  return `${prefix}-${number}${checkLetter(prefix, number)}`;
}

/** The remainder by a prime larger than ten of the digits as one number: weights are powers of ten, none of which are alike. */
function checkLetter(prefix: string, number: number): string {
  return CHECK_LETTERS[Number(`${prefix}${String(number).padStart(3, '0')}`) % CHECK_LETTERS.length] ?? '';
}

/** A code as it is kept, from how it was typed or read out; null where its letter is wrong, or it is none. */
export function readBatchCode(text: string): string | null {
  const [, prefix, number, letter] = CODE.exec(text.replace(/\s/g, '').toUpperCase()) ?? [];
  if (prefix === undefined || number === undefined) return null;
  return checkLetter(prefix, Number(number)) === letter ? batchCode(prefix, Number(number)) : null;
}

const LOT_START = 'Batch ';

/** What a lot of the scrap jar is called that a batch left. */
export function batchLotNumber(code: string): string {
  return `${LOT_START}${code}`;
}

/** The code of the batch that left a lot; null for other lots. */
export function codeOfLotNumber(number: string): string | null {
  return number.startsWith(LOT_START) ? number.slice(LOT_START.length) : null;
}
