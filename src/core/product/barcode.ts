/** Digits of the numbers that goods carry: EAN-8, UPC-A, EAN-13. */
const LENGTHS: ReadonlySet<number> = new Set([8, 12, 13]);

/**
 * Whether a text is such a number, with its check digit right: digits from the right are weighed 3 and 1 in turn (GS1
 * General Specifications, 7.9; ISO/IEC 15420).
 */
export function isBarcode(text: string): boolean {
  if (!/^\d+$/.test(text) || !LENGTHS.has(text.length)) return false;
  return checkDigit(text.slice(0, -1)) === Number(text.at(-1));
}

/** The digit that belongs behind these. */
export function checkDigit(digits: string): number {
  const sum = [...digits]
    .toReversed()
    .reduce((all, digit, place) => all + Number(digit) * (place % 2 === 0 ? 3 : 1), 0);
  return (10 - (sum % 10)) % 10;
}
