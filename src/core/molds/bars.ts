import type { Mold } from './mold';
import { slicesOf } from './slicing';

/** As much of a mold as decides how many pieces it makes. */
export type SlicedMold = Pick<Mold, 'shape' | 'sliceMm' | 'stripMm' | 'endTrimMm'>;

/** A piece is a bar where the mold is sliced, and what comes out of a cavity where it is not. */
export function barsPerCavity(mold: SlicedMold): number {
  return Math.max(1, slicesOf(mold)?.bars ?? 1);
}

/** The share of what a cavity holds that is in one piece. */
export function pieceShare(mold: SlicedMold): number {
  const slices = slicesOf(mold);
  return slices !== null && slices.bars > 0 ? slices.barShare : 1;
}

/** How many cavities are filled in one round: those of every copy of the mold. */
export function cavitiesOf({ cavities, copies }: Pick<Mold, 'cavities' | 'copies'>): number {
  return cavities * copies;
}
