import { G_PER_OZ } from './factors';
import { MINOR_DIGITS } from './money';

/** The two systems a workshop may read weights in. Stored figures are always grams. */
export type UnitSystem = 'metric' | 'us';

export interface Showing {
  system: UnitSystem;
  /** A BCP 47 tag; decides the decimal mark. */
  locale: string;
}

const FORMATS = new Map<string, Intl.NumberFormat>();

/** `value` with at most `decimals` digits behind the mark, and at least `atLeast` of them. */
export function showNumber(value: number, decimals: number, locale: string, atLeast = decimals): string {
  const key = `${locale}|${decimals}|${atLeast}`;
  let format = FORMATS.get(key);
  if (!format) {
    format = new Intl.NumberFormat(locale, {
      maximumFractionDigits: decimals,
      minimumFractionDigits: atLeast,
      useGrouping: false,
    });
    FORMATS.set(key, format);
  }
  return format.format(value);
}

/** Grams to the hundredth below 10 g and to the tenth above: finer than a bench scale reads. */
export function showMass(massG: number, { system, locale }: Showing): string {
  return `${showMassFigure(massG, { system, locale })} ${massUnit(system)}`;
}

/** The figure of {@link showMass} without its unit, for a column that carries the unit in its head. */
export function showMassFigure(massG: number, { system, locale }: Showing): string {
  if (system === 'us') {
    const ounces = massG / G_PER_OZ;
    return showNumber(ounces, ounces < 1 ? 3 : 2, locale);
  }
  return showNumber(massG, massG < 10 ? 2 : 1, locale);
}

export function massUnit(system: UnitSystem): string {
  return system === 'us' ? 'oz' : 'g';
}

/** A fraction of one as a percentage with up to two decimals, or as many as are asked for: 0.0174 → “1.74 %”. */
export function showPercent(fraction: number, locale: string, decimals = 2): string {
  return `${showNumber(fraction * 100, decimals, locale, 0)} %`;
}

export function showVolume(volumeMl: number, locale: string): string {
  return `${showNumber(volumeMl, volumeMl < 10 ? 2 : 1, locale)} mL`;
}

/** A temperature point, rounded to a whole degree. */
export function showTemperature(tempC: number, { system, locale }: Showing, digits = 0): string {
  return system === 'us'
    ? `${showNumber(tempC * 1.8 + 32, digits, locale)} °F`
    : `${showNumber(tempC, digits, locale)} °C`;
}

/** An amount of money, in minor units, in a currency of ISO 4217: 32,000 are “€3.20”. */
export function showMoney(minor: number, currency: string, locale: string): string {
  return new Intl.NumberFormat(locale, { style: 'currency', currency }).format(minor / 10 ** MINOR_DIGITS);
}
