import { type Bounds, NOTHING, sumOfBounds, UNKNOWN } from '../core/cost/bounds';
import { costOf, houseLines, partOf, plannedLines } from '../core/cost/cost';
import type { Sheet } from '../core/plan/sheet';
import { needOf } from '../core/stock/need';
import { runCost } from './costs';
import type { Workshop } from './openWorkshop';
import { type SoldPart, soldParts } from './soldParts';

const NONE: ReadonlySet<string> = new Set();

/**
 * What a piece of a plan costs: as its run really did, or as planned from the lots of now. Hands of what was never made are not
 * known, where the house reckons them.
 *
 * @param within plans that it is set into, so that a circle ends
 */
export function pieceCost(
  workshop: Workshop,
  { planId, run, sheet }: Pick<SoldPart, 'planId' | 'run' | 'sheet'>,
  within: ReadonlySet<string> = NONE,
): Bounds {
  if (run) return runCost(workshop, run).real.perPiece ?? UNKNOWN;
  if (!sheet) return UNKNOWN;
  const rules = workshop.rules();
  const made = costsOfMade(workshop, madeIn(sheet), new Set([...within, planId]));
  const { perPiece } = costOf(
    [
      ...plannedLines(needOf(sheet), workshop.lots.stock(), (id) => partOf(sheet, id), made),
      ...houseLines({ ...rules, handsPerHour: null }, 0),
    ],
    sheet.pieces,
  );
  return perPiece ? sumOfBounds([perPiece, rules.handsPerHour === null ? NOTHING : UNKNOWN]) : UNKNOWN;
}

/** What a piece of each of some plans costs, by plan: the last finished run of each, or as it is planned. */
export function costsOfMade(
  workshop: Workshop,
  planIds: readonly string[],
  within: ReadonlySet<string> = NONE,
): ReadonlyMap<string, Bounds> {
  const parts = planIds.filter((id) => !within.has(id)).map((planId) => ({ planId, pieces: 1 }));
  return new Map(
    soldParts(workshop, { parts }, []).map((part) => [part.planId, pieceCost(workshop, part, within)]),
  );
}

/** The plans whose pieces a sheet sets in. */
export function madeIn(sheet: Sheet): string[] {
  return needOf(sheet).flatMap(({ materialId, isMade }) => (isMade ? materialId : []));
}
