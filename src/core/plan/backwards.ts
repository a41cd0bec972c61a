import { fail, ok, type Result } from '../result';
import type { PlanFile } from './plan';
import { recipeOf } from './recipe';
import type { Sheet } from './sheet';
import { pourSums } from './solvePour';

/**
 * How many pieces the base on hand makes, fixed doses growing along with them.
 *
 * @param onHandG grams on hand by the id of the base; a base that is not named does not limit
 * @returns whole pieces, and the base that runs out first; pieces is Infinity when no base of the plan is named
 */
export function piecesFromBase(
  sheet: Sheet,
  onHandG: ReadonlyMap<string, number>,
): { pieces: number; shortOf: string | null } {
  const needG = new Map<string, number>();
  for (const pour of sheet.pours) {
    needG.set(pour.base.id, (needG.get(pour.base.id) ?? 0) + pour.baseG / sheet.pieces);
  }
  let pieces = Number.POSITIVE_INFINITY;
  let shortOf: string | null = null;
  for (const [baseId, perPieceG] of needG) {
    const onHand = onHandG.get(baseId);
    if (onHand === undefined) continue;
    const enoughFor = Math.floor((onHand / perPieceG) * (1 + 1e-12));
    if (enoughFor < pieces) {
      pieces = enoughFor;
      shortOf = baseId;
    }
  }
  return { pieces, shortOf };
}

export type PieceWeightFault =
  | { code: 'overfull'; fillFraction: number; mostG: number }
  | { code: 'additions-outweigh'; leastG: number };

/**
 * The fill at which each piece weighs `pieceG`, with the doses as they are.
 *
 * Both volume and mass of a jug are straight lines in its base weight, so the piece's weight is a straight
 * line in the fill, and one division inverts it.
 *
 * @returns the fill as a fraction of the capacity, or why there is none
 */
export function fillForPieceWeight(file: PlanFile, pieceG: number): Result<number, PieceWeightFault> {
  const { plan, mold } = file;
  const intoMold = 1 - plan.jugLossFraction;
  const brimMl = plan.pieces * mold.capacityMl;
  // mass into molds = slope · fill + offset, summed over pours
  let slopeG = 0;
  let offsetG = 0;
  let leastFill = 0;
  for (const pour of recipeOf(file)) {
    const sums = pourSums(pour);
    const massPerMl = sums.massPerBaseG / sums.volumePerBaseG;
    slopeG += brimMl * pour.shareOfFill * massPerMl;
    offsetG += (sums.fixedG - sums.fixedMl * massPerMl) * intoMold;
    leastFill = Math.max(leastFill, (sums.fixedMl * intoMold) / (brimMl * pour.shareOfFill));
  }
  const fillFraction = (pieceG * plan.pieces - offsetG) / slopeG;
  const weightAt = (fill: number) => (slopeG * fill + offsetG) / plan.pieces;
  if (!(fillFraction > leastFill)) return fail({ code: 'additions-outweigh', leastG: weightAt(leastFill) });
  if (fillFraction > 1 + 1e-12) return fail({ code: 'overfull', fillFraction, mostG: weightAt(1) });
  return ok(Math.min(fillFraction, 1));
}
