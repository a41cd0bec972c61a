import type { Mold } from './mold';

/** A loaf or a slab after slicing, as shares of its weight. */
export interface Slices {
  bars: number;
  /** Of each bar. */
  barShare: number;
  /** Of both ends and what is left of the last slice, together. */
  trimShare: number;
}

/**
 * Bars from a loaf, a log or a slab: whole slices of what the end trims leave, in whole strips of a slab's width. Weights go
 * by length and width, so a loaf whose ends lean gives a little less in its trims than this says.
 *
 * @returns null for a mold that is not sliced
 */
export function slicesOf({
  shape,
  sliceMm,
  stripMm,
  endTrimMm,
}: Pick<Mold, 'shape' | 'sliceMm' | 'stripMm' | 'endTrimMm'>): Slices | null {
  if (sliceMm === null || !('lengthMm' in shape)) return null;
  const slices = Math.max(0, Math.floor((shape.lengthMm - 2 * endTrimMm) / sliceMm + 1e-9));
  const isSlab = stripMm !== null && 'widthMm' in shape;
  const strips = isSlab ? Math.floor(shape.widthMm / stripMm + 1e-9) : 1;
  const bars = slices * strips;
  const barShare = (sliceMm / shape.lengthMm) * (isSlab ? stripMm / shape.widthMm : 1);
  return { bars, barShare, trimShare: 1 - bars * barShare };
}
