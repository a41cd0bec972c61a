import { allFindings } from '../checks/allFindings';
import type { CheckContext, Finding } from '../checks/finding';
import { hasStop, reviewPlan } from '../checks/review';
import { hasMold } from '../molds/noMold';
import type { PlanFile } from '../plan/plan';
import { fail, ok, type Result } from '../result';
import { makePourPlan } from '../schedule/makePourPlan';
import { roundsPlaced } from '../schedule/schedule';
import { piecesOfRound } from '../work/rounds';
import { type Snapshot, slimRules, slimSheet } from './snapshot';

/** Why a plan can't be taken to the bench. */
export type SnapshotFault =
  | { code: 'plan-has-stops'; findings: Finding[] }
  | { code: 'no-mold' }
  /** `mostPieces` fit into `most` rounds. */
  | { code: 'too-many-rounds'; rounds: number; most: number; mostPieces: number };

/** What a run of a plan file rests on: its sheet, the house rules, its tasks with their times and everything that was found. */
export function takeSnapshot(file: PlanFile, context: CheckContext): Result<Snapshot, SnapshotFault> {
  const { rules } = context;
  const review = reviewPlan(file, context);
  const { sheet } = review;
  if (!sheet || hasStop(review.findings))
    return fail({
      code: 'plan-has-stops',
      findings: review.findings.filter(({ severity }) => severity === 'stop'),
    });
  if (!hasMold(sheet)) return fail({ code: 'no-mold' });
  const { rounds } = sheet.totals;
  const most = roundsPlaced(sheet, rules);
  if (most < rounds)
    return fail({ code: 'too-many-rounds', rounds, most, mostPieces: most * piecesOfRound(sheet, 0) });
  const pourPlan = makePourPlan(sheet, rules);
  return ok({
    sheet: slimSheet(sheet),
    rules: slimRules(rules),
    tasks: pourPlan.tasks,
    findings: allFindings(review, pourPlan, rules, null),
    isDerived: false,
  });
}
