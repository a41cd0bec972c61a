import { type Bounds, NOTHING, sumOfBounds, UNKNOWN } from '../core/cost/bounds';
import { costOf, houseLines, sheetLines } from '../core/cost/cost';
import type { Sheet } from '../core/plan/sheet';
import { needOf, plansMade } from '../core/stock/need';
import { runCost } from './costs';
import type { Workshop } from './openWorkshop';
import { plannedSheet, type SoldPart } from './soldParts';

const NONE: ReadonlySet<string> = new Set();

/**
 * What a piece of a plan costs: as its run really did, or as planned from the lots of now. Hands of what was never made are not
 * known, where the house reckons them.
 */
export function pieceCost(workshop: Workshop, { planId, run, sheet }: SoldPart): Bounds {
  if (run) return runCost(workshop, run).real.perPiece ?? UNKNOWN;
  if (!sheet) return UNKNOWN;
  const rules = workshop.rules();
  const house = costOf(houseLines({ ...rules, handsPerHour: null }, 0), sheet.pieces).perPiece ?? UNKNOWN;
  const hands = rules.handsPerHour === null ? NOTHING : UNKNOWN;
  return sumOfBounds([materialsOf(workshop, planId, sheet, NONE), house, hands]);
}

/**
 * What the materials of a piece of each of some plans cost, by plan, as it is planned from the lots of now. Hands and the share of
 * the house stay with the batch that makes it, as they do when some are kept to be set in.
 */
export function costsOfMade(
  workshop: Workshop,
  planIds: readonly string[],
  within: ReadonlySet<string> = NONE,
): ReadonlyMap<string, Bounds> {
  return new Map(
    planIds.map((id) => {
      const sheet = within.has(id) ? null : plannedSheet(workshop, id);
      return [id, sheet ? materialsOf(workshop, id, sheet, within) : UNKNOWN];
    }),
  );
}

/** @param within plans that it is set into, so that a circle ends */
function materialsOf(workshop: Workshop, planId: string, sheet: Sheet, within: ReadonlySet<string>): Bounds {
  const needs = needOf(sheet);
  const made = costsOfMade(workshop, plansMade(needs), new Set([...within, planId]));
  const lines = sheetLines(sheet, workshop.lots.stock(), made, needs);
  return costOf(lines, sheet.pieces).perPiece ?? UNKNOWN;
}
