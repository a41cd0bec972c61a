import { G_PER_LB, G_PER_OZ } from './factors';
import { MINOR_DIGITS, moneyFormat } from './money';

/** The two systems a workshop may read weights in. Stored figures are always grams. */
export type UnitSystem = 'metric' | 'us';

export interface Showing {
  system: UnitSystem;
  /** A BCP 47 tag; decides the decimal mark. */
  locale: string;
}

const UNIT_G = { metric: 1, us: G_PER_OZ };
/** Blocks and stores are told in the larger unit: from 10 kg and from 10 lb on. */
const LARGE = {
  metric: { fromG: 10_000, unitG: 1000, decimals: 3, symbol: 'kg' },
  us: { fromG: 10 * G_PER_LB, unitG: G_PER_LB, decimals: 2, symbol: 'lb' },
};

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

/**
 * A weight as finely as it can be weighed: 7.24 g, 96.3 g, 1200 g, 11.5 kg; 0.255 oz, 8.50 oz, 42.3 oz, 25.35 lb.
 * What is added up for the eye goes through {@link addUpAsShown}.
 */
export function showMass(massG: number, { system, locale }: Showing): string {
  const large = LARGE[system];
  if (massG >= large.fromG)
    return `${showNumber(massG / large.unitG, large.decimals, locale, 0)} ${large.symbol}`;
  return `${showMassFigure(massG, { system, locale })} ${massUnit(system)}`;
}

/** The figure of {@link showMass} in grams or ounces, for a column that carries the unit in its head. */
export function showMassFigure(massG: number, { system, locale }: Showing): string {
  const value = massG / UNIT_G[system];
  return showNumber(value, massDecimals(value, system), locale);
}

/** Digits behind the mark of a weight in grams or ounces: what a scale that bears it usually reads. */
export function massDecimals(value: number, system: UnitSystem): number {
  // What is rounded up to the next figure has its digits.
  if (system === 'us') return value < 0.9995 ? 3 : value < 34.995 ? 2 : 1;
  return value < 9.995 ? 2 : value < 999.95 ? 1 : 0;
}

/** The sum of weights as they are shown, so that figures one below the other add up to the one under the line, g. */
export function addUpAsShown(massesG: readonly number[], system: UnitSystem): number {
  return massesG.reduce((sumG, massG) => sumG + asShown(massG, system), 0);
}

function asShown(massG: number, system: UnitSystem): number {
  const value = massG / UNIT_G[system];
  const steps = 10 ** massDecimals(value, system);
  return (Math.round(value * steps) / steps) * UNIT_G[system];
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

export function temperatureUnit(system: UnitSystem): '°C' | '°F' {
  return system === 'us' ? '°F' : '°C';
}

/** A temperature point, rounded to a whole degree. */
export function showTemperature(tempC: number, { system, locale }: Showing, digits = 0): string {
  const value = system === 'us' ? tempC * 1.8 + 32 : tempC;
  return `${showNumber(value, digits, locale)} ${temperatureUnit(system)}`;
}

/** An amount of money, in minor units, in a currency of ISO 4217: 32,000 are “€3.20”. */
export function showMoney(minor: number, currency: string, locale: string): string {
  return moneyFormat(currency, locale).format(minor / 10 ** MINOR_DIGITS);
}
