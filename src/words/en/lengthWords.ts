import type { Range } from '../../core/schedule/range';
import { showNumber } from '../../core/units/showQuantity';

const MINUTE_S = 60;
const HOUR_S = 3600;

/** A length of time as one says it: seconds below two minutes, whole minutes, then steps of five and of ten. */
export function lengthWords(seconds: number, locale: string): string {
  if (seconds < 90) return `${showNumber(Math.round(seconds / 5) * 5, 0, locale)} s`;
  const minutes = rounded(seconds) / MINUTE_S;
  if (minutes < 90) return `${showNumber(minutes, 0, locale)} min`;
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

function rounded(seconds: number): number {
  const step = seconds < 30 * MINUTE_S ? MINUTE_S : seconds < 2 * HOUR_S ? 5 * MINUTE_S : 10 * MINUTE_S;
  return Math.round(seconds / step) * step;
}

/** Shorter than this the model can't tell: a touch test can. */
export const RESOLUTION_S = 90;

/** From and to, with one unit where both have the same: “12 to 17 min”. */
export function rangeWords({ low, high }: Range, locale: string): string {
  if (high < RESOLUTION_S) return `under ${lengthWords(RESOLUTION_S, locale)}, too short to tell apart`;
  const [from, to] = [lengthWords(Math.max(0, low), locale), lengthWords(high, locale)];
  if (from === to) return `about ${to}`;
  const both = from.endsWith(' min') && to.endsWith(' min') && !from.includes(' h') && !to.includes(' h');
  return `${both ? from.slice(0, -4) : from} to ${to}`;
}
