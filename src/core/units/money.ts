/**
 * Money is kept as a decimal text, “12.5”, and computed in minor units: ten-thousandths of the currency’s unit, the
 * finest division in ISO 4217 (CLF, UYW), so that a price of any currency is a whole number of them.
 */
export const MINOR_DIGITS = 4;

/**
 * @param text of `moneySchema`
 * @throws RangeError when it is not
 * @example minorUnitsOf('12.5') // 125000
 */
export function minorUnitsOf(text: string): number {
  const [, whole, part = ''] = /^(\d+)(?:\.(\d{1,4}))?$/.exec(text) ?? [];
  if (whole === undefined) throw new RangeError(`not an amount of money: ${text}`);
  return Number(whole + part.padEnd(MINOR_DIGITS, '0'));
}

const FORMATS = new Map<string, Intl.NumberFormat>();

/** How money of a currency is written; made once for each, as that takes longer than writing it. */
export function moneyFormat(currency: string, locale: string): Intl.NumberFormat {
  const key = `${currency} ${locale}`;
  const known = FORMATS.get(key) ?? new Intl.NumberFormat(locale, { style: 'currency', currency });
  FORMATS.set(key, known);
  return known;
}

/** What a currency is paid in at the least, minor units. */
export function payableStep(currency: string): number {
  const { maximumFractionDigits = 2 } = moneyFormat(currency, 'en').resolvedOptions();
  return 10 ** (MINOR_DIGITS - maximumFractionDigits);
}

/**
 * An amount as it is shown and added up: rounded to what its currency is paid in, so that rows make their sum.
 *
 * @param currency of ISO 4217
 * @returns minor units
 * @example payable(65730, 'EUR') // 65700, which is 6.57
 */
export function payable(minor: number, currency: string): number {
  const step = payableStep(currency);
  return Math.round(minor / step) * step;
}

/**
 * @param minor whole minor units, not below zero
 * @example moneyOf(125000) // '12.5'
 */
export function moneyOf(minor: number): string {
  if (!(Number.isSafeInteger(minor) && minor >= 0)) throw new RangeError(`not whole minor units: ${minor}`);
  const digits = String(minor).padStart(MINOR_DIGITS + 1, '0');
  const part = digits.slice(-MINOR_DIGITS).replace(/0+$/, '');
  const whole = digits.slice(0, -MINOR_DIGITS);
  return part === '' ? whole : `${whole}.${part}`;
}
