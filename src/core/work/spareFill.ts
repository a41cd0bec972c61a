import type { Mold } from '../molds/mold';
import type { JugOfMelt } from './loads';

/** What is left over, in a spare mold. */
export interface SpareFill {
  /** Cavities to their usual fill. */
  whole: number;
  /** And one more to this share of it; nothing of less than a crumb. */
  part: number;
}

const CRUMB = 0.01;

/** How far what a jug leaves over fills the cavities of a spare mold. */
export function spareFill(
  { leftOverG, melt }: Pick<JugOfMelt, 'leftOverG' | 'melt'>,
  { capacityMl, usualFillFraction }: Pick<Mold, 'capacityMl' | 'usualFillFraction'>,
): SpareFill {
  const leftOverMl = melt.contentG > 0 ? (leftOverG * melt.contentMl) / melt.contentG : 0;
  const fills = leftOverMl / (capacityMl * usualFillFraction);
  const whole = Math.floor(fills + CRUMB);
  const part = fills - whole;
  return { whole, part: part > CRUMB ? part : 0 };
}
