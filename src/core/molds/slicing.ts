import type { Mold } from './mold';

/** A loaf after slicing, as shares of its weight. */
export interface Slices {
  bars: number;
  /** Of each bar. */
  barShare: number;
  /** Of both ends and what is left of the last slice, together. */
  trimShare: number;
}

/**
 * Bars from a loaf or a log: whole slices of what the end trims leave. Weights go by length, so a loaf whose ends lean
 * gives a little less in its trims than this says.
 *
 * @returns null for a mold that is not sliced
 */
export function slicesOf({
  shape,
  sliceMm,
  endTrimMm,
}: Pick<Mold, 'shape' | 'sliceMm' | 'endTrimMm'>): Slices | null {
  if (sliceMm === null || !('lengthMm' in shape)) return null;
  const bars = Math.max(0, Math.floor((shape.lengthMm - 2 * endTrimMm) / sliceMm + 1e-9));
  const barShare = sliceMm / shape.lengthMm;
  return { bars, barShare, trimShare: 1 - bars * barShare };
}
