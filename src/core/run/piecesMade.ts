import { isOfPieces } from '../pieces/aside';
import { piecesAfter, type RoundGives } from '../pieces/cut';
import type { Sheet } from '../plan/sheet';
import { partOfRound, piecesOfRound } from '../work/rounds';
import type { Progress } from './progress';

/** What a round gives by its sheet, before anybody said what it was cut into. */
export function roundGives(sheet: Sheet, round: number): RoundGives {
  const pieces = Math.ceil(piecesOfRound(sheet, round) - 1e-9);
  return { blocks: partOfRound(sheet, round).cavities, pieces };
}

/** Pieces of a round as they were cut, those that went elsewhere since left out where that is asked for. */
export function piecesMade(
  sheet: Sheet,
  round: number,
  { cuts, asides }: Pick<Progress, 'cuts' | 'asides'>,
  withoutAside = false,
): number {
  const own = cuts.filter((cut) => cut.round === round);
  const made = Math.round(piecesAfter(roundGives(sheet, round), own));
  if (!withoutAside) return made;
  const gone = asides.filter((aside) => aside.round === round && isOfPieces(aside));
  return made - gone.reduce((sum, { pieces }) => sum + (pieces ?? 0), 0);
}
