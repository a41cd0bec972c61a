import { wholePiecesOf } from '../molds/filled';
import { whereGrowing } from '../molds/shape';
import { fail, ok, type Result } from '../result';
import { makeSheet } from './makeSheet';
import type { PlanFile } from './plan';
import type { Sheet } from './sheet';
import { withBatch } from './withBatch';

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
    needG.set(pour.base.id, (needG.get(pour.base.id) ?? 0) + pour.baseG / sheet.fills);
  }
  let pieces = Number.POSITIVE_INFINITY;
  let shortOf: string | null = null;
  for (const [baseId, perFillG] of needG) {
    const onHand = onHandG.get(baseId);
    if (onHand === undefined) continue;
    const enoughFor = wholePiecesOf(sheet, (onHand / perFillG) * (1 + 1e-12));
    if (enoughFor < pieces) {
      pieces = enoughFor;
      shortOf = baseId;
    }
  }
  return { pieces, shortOf };
}

export type PieceWeightFault =
  | { code: 'overfull'; fillFraction: number; mostG: number }
  | { code: 'additions-outweigh'; leastG: number }
  /** Every pour has a size of its own, so the fill changes nothing. */
  | { code: 'sizes-fixed'; pieceG: number };

const FULL = 1;
const LEAST_FILL = 1e-6;

/**
 * The fill at which each piece weighs `pieceG`, with the doses as they are. A piece only grows with its fill.
 *
 * @returns the fill as a fraction of the capacity, or why there is none
 */
export function fillForPieceWeight(file: PlanFile, pieceG: number): Result<number, PieceWeightFault> {
  const weightAt = (fillFraction: number): number | null => {
    const made = makeSheet({ ...file, plan: { ...withBatch(file.plan, null), fillFraction } });
    return made.success ? made.data.totals.pieceG : null;
  };
  const full = weightAt(FULL);
  if (full === null) return fail({ code: 'additions-outweigh', leastG: pieceG });
  // Below this fill the additions alone take up all the room.
  const least =
    weightAt(LEAST_FILL) === null
      ? whereGrowing(FULL, (fill) => (weightAt(fill) === null ? -1 : 1))
      : LEAST_FILL;
  const leastG = weightAt(least * (1 + 1e-9)) ?? full;
  if (full - leastG < 1e-9 * full) return fail({ code: 'sizes-fixed', pieceG: full });
  if (!(pieceG > leastG)) return fail({ code: 'additions-outweigh', leastG });
  if (pieceG > full * (1 + 1e-12)) {
    const perFill = (full - leastG) / (FULL - least);
    return fail({ code: 'overfull', fillFraction: FULL + (pieceG - full) / perFill, mostG: full });
  }
  return ok(
    Math.min(
      FULL,
      whereGrowing(FULL, (fill) => (weightAt(fill) ?? -1) - pieceG),
    ),
  );
}
