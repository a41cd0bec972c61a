/** A figure beside what was predicted of it. */
export interface Pair {
  predicted: number;
  measured: number;
}

/** How far off predictions are here. */
export interface BiasAndSpread {
  count: number;
  /** The mean of what was measured less what was predicted, over what was predicted where it is a share. */
  bias: number;
  /** Standard deviation of the same; null for a single one. */
  spread: number | null;
}

/** Nothing is told from fewer without saying so. Our own figure. */
export const FEW = 5;

/**
 * Bias and spread of predictions.
 *
 * Sample standard deviation (n − 1): NIST/SEMATECH e-Handbook of Statistical Methods, section 1.3.5.6.
 *
 * @param asShare of what was predicted; else in its unit
 * @returns null for none
 * @example biasAndSpread([{ predicted: 100, measured: 98 }, { predicted: 50, measured: 52 }], true) // bias 0.01
 */
export function biasAndSpread(pairs: readonly Pair[], asShare: boolean): BiasAndSpread | null {
  const off = pairs
    .filter(({ predicted }) => !asShare || predicted > 0)
    .map(({ predicted, measured }) => (measured - predicted) / (asShare ? predicted : 1));
  const count = off.length;
  if (count === 0) return null;
  const bias = off.reduce((sum, each) => sum + each, 0) / count;
  if (count === 1) return { count, bias, spread: null };
  const variance = off.reduce((sum, each) => sum + (each - bias) ** 2, 0) / (count - 1);
  return { count, bias, spread: Math.sqrt(variance) };
}
