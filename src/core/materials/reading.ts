import type { z } from '../zod';
import type { readingSchema } from './readingSchema';

/** What can be counted out onto the scale: drops of a bottle, millilitres of a levelled spoon, colour blocks, full scoops, capsules. */
export const READING_KINDS = ['drops', 'spoon', 'blocks', 'scoops', 'capsules'] as const;

export type ReadingKind = (typeof READING_KINDS)[number];

export type Reading = z.infer<typeof readingSchema>;

export interface Mean {
  /** Grams a drop, a millilitre, a block, a scoop or a capsule. */
  gPerOne: number;
  readings: number;
  /** Standard deviation between readings, as a share of the mean; null for a single one. */
  spread: number | null;
  /** Day of the newest reading, ISO 8601. */
  newestOn: string;
}

/**
 * What the readings of one kind say together: all grams over all that was counted, so that a long count weighs
 * more than a short one. Undefined where there is none.
 *
 * Spread: sample standard deviation (n − 1) of the single ratios, NIST/SEMATECH e-Handbook of Statistical Methods,
 * section 1.3.5.6.
 */
export function meanOf(readings: readonly Reading[], of: ReadingKind): Mean | undefined {
  const ofKind = readings.filter((reading) => reading.of === of);
  const newest = ofKind
    .map(({ on }) => on)
    .sort()
    .at(-1);
  if (newest === undefined) return undefined;
  const sum = (figure: (reading: Reading) => number) =>
    ofKind.reduce((total, reading) => total + figure(reading), 0);
  const gPerOne = sum(({ massG }) => massG) / sum(({ count }) => count);
  return { gPerOne, readings: ofKind.length, spread: spreadOf(ofKind), newestOn: newest };
}

function spreadOf(readings: readonly Reading[]): number | null {
  const n = readings.length;
  if (n < 2) return null;
  const ratios = readings.map(({ massG, count }) => massG / count);
  const mean = ratios.reduce((total, ratio) => total + ratio, 0) / n;
  const variance = ratios.reduce((total, ratio) => total + (ratio - mean) ** 2, 0) / (n - 1);
  return Math.sqrt(variance) / mean;
}
