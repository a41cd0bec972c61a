import { barsPerCavity } from '../molds/bars';
import { cavitiesFilled } from '../molds/filled';
import type { Sheet } from './sheet';

/** A last cavity that is not filled as the others are. */
export interface PartFill {
  /** Of the usual fill, so much. */
  ofFill: number;
  /** It is one of the second mold. */
  isSecond: boolean;
}

/** The pieces that a sheet makes. */
export interface PiecesOfSheet {
  /** Whole ones of the plan's mold, and of its second. */
  first: number;
  second: number;
  /** What of a batch fills no whole cavity; null where all are filled alike. */
  part: PartFill | null;
}

/** How many pieces come out of each mold: those that were asked for, or, said by weight, those that it gives. */
export function piecesOfSheet(sheet: Pick<Sheet, 'fills' | 'mold' | 'secondMold' | 'pieces'>): PiecesOfSheet {
  const { mold, secondMold, pieces, fills } = sheet;
  const { first, second } = cavitiesFilled(sheet, fills);
  const ofFirst = Math.floor(first) * barsPerCavity(mold);
  const isSecond = second % 1 > 0;
  const ofFill = isSecond ? second % 1 : first % 1;
  if (ofFill === 0) {
    const ofSecond = second > 0 ? Math.max(0, pieces - ofFirst) : 0;
    return { first: pieces - ofSecond, second: ofSecond, part: null };
  }
  const ofSecond = secondMold ? Math.floor(second) * barsPerCavity(secondMold) : 0;
  return { first: ofFirst, second: ofSecond, part: { ofFill, isSecond } };
}
