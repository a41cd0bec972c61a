import type { Sheet } from '../plan/sheet';

type RoundsOf = Pick<Sheet, 'pieces' | 'mold' | 'totals'>;

/** How many pieces a round makes: a full one in every round but the last, which makes what is left. */
export function piecesOfRound({ pieces, mold: { cavities } }: RoundsOf, round: number): number {
  return Math.max(0, Math.min(cavities, pieces - round * cavities));
}
