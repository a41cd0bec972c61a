import { MEASURED_BY, type Measure } from './mold';

/** What the measurings of one kind say together. */
export interface MeasuredWay {
  by: Measure['by'];
  meanMl: number;
  count: number;
  /** Largest less smallest, as a share of the mean; null for a single one. */
  spread: number | null;
  newestOn: string;
}

/** Two ways that differ by more than this are shown side by side. Our own assumption. */
export const WAYS_DISAGREE_ABOVE = 0.05;

/** The ways a cavity was measured, each with its mean, and whether any two disagree. */
export function measuredWays(measures: readonly Measure[]): { ways: MeasuredWay[]; disagree: boolean } {
  const ways = MEASURED_BY.flatMap((by): MeasuredWay[] => {
    const own = measures.filter((measure) => measure.by === by);
    const figures = own.map(({ capacityMl }) => capacityMl);
    if (own.length === 0) return [];
    const meanMl = figures.reduce((sum, figure) => sum + figure, 0) / own.length;
    const spread = own.length > 1 ? (Math.max(...figures) - Math.min(...figures)) / meanMl : null;
    return [
      {
        by,
        meanMl,
        count: own.length,
        spread,
        newestOn:
          own
            .map(({ on }) => on)
            .sort()
            .at(-1) ?? '',
      },
    ];
  });
  const means = ways.map(({ meanMl }) => meanMl);
  const disagree = Math.max(...means) / Math.min(...means) - 1 > WAYS_DISAGREE_ABOVE;
  return { ways, disagree: ways.length > 1 && disagree };
}

/**
 * Density of a base, g/mL, from the same cavity filled with water and with base; null until both were measured.
 *
 * @param baseG the base that fills one cavity
 * @param waterMl the water that fills it
 */
export function densityFromCavity(baseG: number, waterMl: number): number {
  if (!(baseG > 0 && waterMl > 0)) throw new RangeError('both must be more than nothing');
  return baseG / waterMl;
}
