import { cavitiesOf } from '../molds/bars';
import type { Sheet } from '../plan/sheet';

/** How many cavities a round fills: all in every round but the last, which fills what is left. */
export function fillsOfRound({ fills, mold }: Pick<Sheet, 'fills' | 'mold'>, round: number): number {
  const cavities = cavitiesOf(mold);
  return Math.max(0, Math.min(cavities, fills - round * cavities));
}
