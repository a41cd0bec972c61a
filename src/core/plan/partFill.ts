import { barsPerCavity } from '../molds/bars';
import type { Sheet } from './sheet';

/** A last cavity that is not filled as the others are. */
export interface PartFill {
  /** Pieces of the cavities before it. */
  whole: number;
  /** Of the usual fill, so much. */
  ofFill: number;
}

/** What of a batch fills no whole cavity; null where all are filled alike. */
export function partFill({ fills, mold }: Pick<Sheet, 'fills' | 'mold'>): PartFill | null {
  const whole = Math.floor(fills);
  return fills > whole ? { whole: whole * barsPerCavity(mold), ofFill: fills - whole } : null;
}
