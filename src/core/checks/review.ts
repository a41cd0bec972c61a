import type { PlanFile } from '../plan/plan';
import { makeSheet, type Sheet } from '../plan/sheet';
import type { Showing } from '../units/showQuantity';
import { additionsOverCap } from './additionsOverCap';
import { doseUnreadable } from './doseUnreadable';
import { type Check, type Finding, type Said, SEVERITIES } from './finding';
import { fragranceOverCap } from './fragranceOverCap';
import { noRoomFinding, noRoomForBase } from './noRoomForBase';
import { notForSkin } from './notForSkin';
import { overSupplierLimit } from './overSupplierLimit';
import { relationUnresolved } from './relationUnresolved';
import { standInFigures } from './standInFigures';
import { unknownLimit } from './unknownLimit';

const CHECKS: readonly Check[] = [
  doseUnreadable,
  relationUnresolved,
  notForSkin,
  overSupplierLimit,
  fragranceOverCap,
  additionsOverCap,
  unknownLimit,
  standInFigures,
  noRoomForBase,
];

/** A plan's sheet and everything that was found about it; no sheet when no base fits. */
export interface Review {
  sheet: Sheet | null;
  findings: Finding[];
}

/** Makes the sheet and runs every check, gravest findings first. The page, the endpoint and the bench all call this. */
export function reviewPlan(file: PlanFile): Review {
  const made = makeSheet(file);
  if (!made.success) return { sheet: null, findings: [noRoomFinding(made.error)] };
  return { sheet: made.data, findings: findingsOf(made.data) };
}

export function findingsOf(sheet: Sheet): Finding[] {
  const findings = CHECKS.flatMap((check) => check.run(sheet));
  return findings.sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity));
}

/** A plan with a stop is not taken to the bench. */
export function hasStop(findings: readonly Finding[]): boolean {
  return findings.some((finding) => finding.severity === 'stop');
}

/** Puts a finding in words. */
export function sayFinding(finding: Finding, showing: Showing): Said {
  const check = CHECKS.find(({ code }) => code === finding.code);
  if (!check) throw new RangeError(`no check has the code “${finding.code}”`);
  return check.say(finding, showing);
}
