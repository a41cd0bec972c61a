import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { makeSheet } from '../plan/makeSheet';
import type { PlanFile } from '../plan/plan';
import type { Sheet } from '../plan/sheet';
import type { Showing } from '../units/showQuantity';
import { additionsOverCap } from './additionsOverCap';
import { allergens } from './allergens';
import { belowWorkingRange } from './belowWorkingRange';
import { botanicalBrowns } from './botanicalBrowns';
import { candleOnly } from './candleOnly';
import { doseReadsOtherwise } from './doseReadsOtherwise';
import { doseUnreadable } from './doseUnreadable';
import { dyeBleeds } from './dyeBleeds';
import { embedsFit } from './embedsFit';
import { factsMissing } from './factsMissing';
import { type Check, type CheckContext, type Finding, type Said, SEVERITIES } from './finding';
import { foodColour } from './foodColour';
import { fragranceOverCap } from './fragranceOverCap';
import { freezerRefused } from './freezerRefused';
import { gritTooCoarse } from './gritTooCoarse';
import { HEAT_CHECKS } from './heat/heatReview';
import { jugTooSmall } from './jugTooSmall';
import { liquidsOverCap } from './liquidsOverCap';
import { lotPastDate } from './lotPastDate';
import { moldTooHot } from './moldTooHot';
import { noRoomFinding, noRoomForBase } from './noRoomForBase';
import { notComputed, notComputedFinding } from './notComputed';
import { notForSkin } from './notForSkin';
import { oilsOverCap } from './oilsOverCap';
import { oneJug } from './oneJug';
import { origins } from './origins';
import { overdone } from './overdone';
import { overSupplierLimit } from './overSupplierLimit';
import { pourOverCeiling } from './pourOverCeiling';
import { pourSizes, sizeFinding } from './pourSizes';
import { pourWays } from './pourWays';
import { relationUnresolved } from './relationUnresolved';
import { scaleFit } from './scaleFit';
import { solidsMove } from './solidsMove';
import { standInFigures } from './standInFigures';
import { stockShort } from './stockShort';
import { tooMuchColour } from './tooMuchColour';
import { unfitForUse } from './unfitForUse';
import { unknownLimit } from './unknownLimit';
import { vanillin } from './vanillin';

const CHECKS: readonly Check[] = [
  pourSizes,
  pourWays,
  oneJug,
  embedsFit,
  jugTooSmall,
  moldTooHot,
  pourOverCeiling,
  freezerRefused,
  doseUnreadable,
  doseReadsOtherwise,
  relationUnresolved,
  notForSkin,
  candleOnly,
  foodColour,
  overSupplierLimit,
  fragranceOverCap,
  oilsOverCap,
  liquidsOverCap,
  additionsOverCap,
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
  noRoomForBase,
  notComputed,
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
  try {
    return reviewed(file, context);
  } catch (error) {
    // One plan that can't be worked out must not take the others down with it.
    return { sheet: null, findings: [notComputedFinding(error)] };
  }
}

function reviewed(file: PlanFile, context: CheckContext): Review {
  const made = makeSheet(file);
  if (!made.success)
    return { sheet: null, findings: [...made.error.sizeFaults.map(sizeFinding), noRoomFinding(made.error)] };
  return { sheet: made.data, findings: findingsOf(made.data, context) };
}

export function findingsOf(sheet: Sheet, context: CheckContext): Finding[] {
  const findings = CHECKS.flatMap((check) => check.run(sheet, context));
  return findings.sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity));
}

/** A plan with a stop is not taken to the bench. */
export function hasStop(findings: readonly Finding[]): boolean {
  return findings.some((finding) => finding.severity === 'stop');
}

/** Puts a finding in words. */
export function sayFinding(finding: Finding, showing: Showing): Said {
  const check = [...CHECKS, ...HEAT_CHECKS].find(({ code }) => code === finding.code);
  if (!check) throw new RangeError(`no check has the code “${finding.code}”`);
  return check.say(finding, showing);
}
