import type { Product } from './product';

/**
 * The month whose end a pack is good until, from when the oldest of its pieces was made.
 *
 * @param madeAt ISO 8601
 * @returns year, and month from 1; null where it is good so long after it is opened
 */
export function goodUntil(
  { by, months }: Product['good'],
  madeAt: readonly string[],
): { year: number; month: number } | null {
  const [oldest] = madeAt.toSorted();
  if (by === 'opened' || oldest === undefined) return null;
  const date = new Date(oldest);
  const month = date.getUTCFullYear() * 12 + date.getUTCMonth() + months;
  return { year: Math.floor(month / 12), month: (month % 12) + 1 };
}

/** The last day of a month, ISO 8601. */
export function lastDayOf({ year, month }: { year: number; month: number }): string {
  return new Date(Date.UTC(year, month, 0)).toISOString().slice(0, 10);
}
