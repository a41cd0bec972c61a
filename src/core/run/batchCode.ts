/** Letters that are told apart when read aloud or from tape: no I, O, Q. Twenty-three, which is a prime. */
const CHECK_LETTERS = 'ABCDEFGHJKLMNPRSTUVWXYZ';
/** What a code can be told from any other by, whatever stands between. */
const CODE = /^(\d{6})-?(\d{1,3})([A-Z])$/;

/** A run's code before its number: `261128` on 28 November 2026. */
export function batchDay(year: number, month: number, day: number): string {
  return [year % 100, month, day].map((each) => String(each).padStart(2, '0')).join('');
}

/**
 * The code of a batch: its day, which one of the day it is, and a letter that any one wrong digit, and any two digits that
 * changed places, make wrong.
 *
 * @param number from 1
 */
export function batchCode(day: string, number: number): string {
  return `${day}-${number}${checkLetter(day, number)}`;
}

/** The remainder by a prime larger than ten of the digits as one number: weights are powers of ten, none of which are alike. */
function checkLetter(day: string, number: number): string {
  return CHECK_LETTERS[Number(`${day}${String(number).padStart(3, '0')}`) % CHECK_LETTERS.length] ?? '';
}

/** A code as it is kept, from how it was typed or read out; null where its letter is wrong, or it is none. */
export function readBatchCode(text: string): string | null {
  const [, day, number, letter] = CODE.exec(text.replace(/\s/g, '').toUpperCase()) ?? [];
  if (day === undefined || number === undefined) return null;
  return checkLetter(day, Number(number)) === letter ? batchCode(day, Number(number)) : null;
}
