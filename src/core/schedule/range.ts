import { z } from '../zod';

/** A figure that is not known better: nine times in ten it is not below the one, nor above the other. */
export const rangeSchema = z.strictObject({ low: z.number(), middle: z.number(), high: z.number() });

export type Range = z.infer<typeof rangeSchema>;

/** Between the 10th and the 90th of a hundred, and always round its middle. */
export function rangeOf(middle: number, figures: readonly number[]): Range {
  if (figures.length === 0) return { low: middle, middle, high: middle };
  const sorted = [...figures].sort((a, b) => a - b);
  return {
    low: Math.min(middle, quantile(sorted, 0.1)),
    middle,
    high: Math.max(middle, quantile(sorted, 0.9)),
  };
}

/** Linear between the figures; R. J. Hyndman and Y. Fan, 1996, their seventh. */
function quantile(sorted: readonly number[], share: number): number {
  const at = (sorted.length - 1) * share;
  const [below, above] = [sorted[Math.floor(at)] ?? 0, sorted[Math.ceil(at)] ?? 0];
  return below + (above - below) * (at - Math.floor(at));
}

export function shifted({ low, middle, high }: Range, by: number): Range {
  return { low: low + by, middle: middle + by, high: high + by };
}
