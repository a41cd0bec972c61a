import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { makeSheet } from '../plan/makeSheet';
import type { PlanFile } from '../plan/plan';
import type { Sheet } from '../plan/sheet';
import { additionsOverCap } from './additionsOverCap';
import { allergens } from './allergens';
import { batchFits } from './batchFits';
import { belowWorkingRange } from './belowWorkingRange';
import { botanicalBrowns } from './botanicalBrowns';
import { bySeverity } from './bySeverity';
import { candleOnly } from './candleOnly';
import { doseReadsOtherwise } from './doseReadsOtherwise';
import { doseUnreadable } from './doseUnreadable';
import { dyeBleeds } from './dyeBleeds';
import { embedsFit } from './embedsFit';
import { factsMissing } from './factsMissing';
import type { Check, CheckContext, Finding, Found } from './finding';
import { foodColour } from './foodColour';
import { fragranceOverCap } from './fragranceOverCap';
import { freezerRefused } from './freezerRefused';
import { gritTooCoarse } from './gritTooCoarse';
import { identified } from './identified';
import { jugTooSmall } from './jugTooSmall';
import { laidFits } from './laidFits';
import { liquidsOverCap } from './liquidsOverCap';
import { lotPastDate } from './lotPastDate';
import { moldTooHot } from './moldTooHot';
import { needsMold } from './needsMold';
import { noRoomForBase } from './noRoomForBase';
import { notComputed } from './notComputed';
import { notForSkin } from './notForSkin';
import { oilsOverCap } from './oilsOverCap';
import { oneJug } from './oneJug';
import { origins } from './origins';
import { overdone } from './overdone';
import { overSupplierLimit } from './overSupplierLimit';
import { pourOverCeiling } from './pourOverCeiling';
import { pourSizes, sizeFindings } from './pourSizes';
import { pourWays } from './pourWays';
import { relationUnresolved } from './relationUnresolved';
import { remelted } from './remelted';
import { scaleFit } from './scaleFit';
import { secondMoldTimes } from './secondMoldTimes';
import { solidsMove } from './solidsMove';
import { standInFigures } from './standInFigures';
import { stockShort } from './stockShort';
import { tooMuchColour } from './tooMuchColour';
import { unfitForUse } from './unfitForUse';
import { unknownLimit } from './unknownLimit';
import { vanillin } from './vanillin';

const CHECKS: readonly Check[] = [
  batchFits,
  pourSizes,
  pourWays,
  oneJug,
  embedsFit,
  laidFits,
  remelted,
  jugTooSmall,
  moldTooHot,
  needsMold,
  secondMoldTimes,
  pourOverCeiling,
  freezerRefused,
  doseUnreadable,
  doseReadsOtherwise,
  relationUnresolved,
  notForSkin,
  candleOnly,
  foodColour,
  overSupplierLimit,
  fragranceOverCap.check,
  oilsOverCap.check,
  liquidsOverCap.check,
  additionsOverCap.check,
  gritTooCoarse,
  unfitForUse,
  unknownLimit,
  vanillin,
  dyeBleeds,
  overdone,
  tooMuchColour,
  belowWorkingRange,
  scaleFit,
  stockShort,
  lotPastDate,
  solidsMove,
  botanicalBrowns,
  allergens,
  origins,
  factsMissing,
  standInFigures,
];

/** A plan judged by itself: the usual rules, and no shelf. */
const BY_ITSELF: CheckContext = { rules: USUAL_HOUSE_RULES, shelf: null };

/** A plan's sheet and everything that was found about it; no sheet when no base fits. */
export interface Review {
  sheet: Sheet | null;
  findings: Finding[];
}

/** Makes the sheet and runs every check, gravest findings first. The page, the endpoint and the bench all call this. */
export function reviewPlan(file: PlanFile, context: CheckContext = BY_ITSELF): Review {
  const { sheet, found } = reviewed(file, context);
  return { sheet, findings: bySeverity(identified(found, file.plan)) };
}

/** The sheet alone, without a word on it; null where there is none. */
export function sheetAtOnce(file: PlanFile): Sheet | null {
  try {
    const made = makeSheet(file);
    return made.success ? made.data : null;
  } catch {
    return null;
  }
}

function reviewed(file: PlanFile, context: CheckContext): { sheet: Sheet | null; found: Found[] } {
  try {
    const made = makeSheet(file);
    if (made.success)
      return { sheet: made.data, found: CHECKS.flatMap((check) => check(made.data, context)) };
    const noRoom = noRoomForBase(made.error, file, context.rules.leastMeltG);
    return { sheet: null, found: [...sizeFindings(made.error.sizeFaults, file), noRoom] };
  } catch (error) {
    // One plan that can't be worked out must not take the others down with it.
    return { sheet: null, found: [notComputed(error)] };
  }
}

/** A plan with a stop is not taken to the bench. */
export function hasStop(findings: readonly Finding[]): boolean {
  return findings.some((finding) => finding.severity === 'stop');
}
