import type { Mold } from '../molds/mold';
import type { JugOfMelt } from './loads';

/** What is left over, in a spare mold. */
export interface SpareFill {
  /** Cavities to their usual fill. */
  whole: number;
  /** And one more to this share of it; 0 where that would be no piece. */
  part: number;
}

const CRUMB = 0.01;
/** Less of a cavity is for the scrap jar. Our own assumption. */
const LEAST_PIECE = 0.5;

/** How far what a jug leaves over fills the cavities of a spare mold. */
export function spareFill(
  { leftOverG, melt }: Pick<JugOfMelt, 'leftOverG' | 'melt'>,
  { capacityMl, usualFillFraction }: Pick<Mold, 'capacityMl' | 'usualFillFraction'>,
): SpareFill {
  const leftOverMl = melt.contentG > 0 ? (leftOverG * melt.contentMl) / melt.contentG : 0;
  const fills = leftOverMl / (capacityMl * usualFillFraction);
  const whole = Math.floor(fills + CRUMB);
  const part = fills - whole;
  return { whole, part: part >= LEAST_PIECE ? part : 0 };
}
