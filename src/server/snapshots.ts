import { allFindings } from '../core/checks/allFindings';
import type { CheckContext, Finding } from '../core/checks/finding';
import { hasStop } from '../core/checks/review';
import { hasMold } from '../core/molds/noMold';
import type { Plan, PlanFile } from '../core/plan/plan';
import type { Sheet } from '../core/plan/sheet';
import { type Snapshot, slimRules, slimSheet } from '../core/run/snapshot';
import { roundsPlaced } from '../core/schedule/schedule';
import { piecesOfRound } from '../core/work/rounds';
import { inTurns } from './inTurns';
import type { Workshop } from './openWorkshop';
import { planFileOf } from './planFile';
import { findPlan } from './plans';
import { pourPlanOf } from './pourPlan';
import { invalidField, Problem } from './problem';
import { reviewOf } from './reviews';

/**
 * What a run of a plan's newest version rests on, by the house rules as they are now.
 *
 * @param trialPieces so many pieces only; null for as many as it has
 * @throws Problem 409 when the plan has a stop, or takes more rounds than one run; 422 for a trial of more than it has
 */
export async function snapshotOf(
  workshop: Workshop,
  planId: string,
  context: CheckContext,
  trialPieces: number | null = null,
): Promise<{ version: number; revision: number; snapshot: Snapshot }> {
  const { plan: whole, version, revision } = findPlan(workshop, planId);
  const plan = trialPieces === null ? whole : trialOf(whole, trialPieces);
  // To judge a large plan and to send it to a thread are two holds.
  await inTurns()();
  const snapshot = await snapshotOfFile(planFileOf(workshop, plan), context);
  return {
    ...{ version, revision },
    snapshot: trialPieces === null ? snapshot : { ...snapshot, isTrial: true },
  };
}

/**
 * What a run of a plan file rests on.
 *
 * @throws Problem 409 when the plan has a stop, or takes more rounds than one run
 */
export async function snapshotOfFile(file: PlanFile, context: CheckContext): Promise<Snapshot> {
  const { rules } = context;
  const review = await reviewOf(file, context);
  const { sheet } = review;
  if (!sheet || hasStop(review.findings)) throw stopped(review.findings);
  if (!hasMold(sheet))
    throw new Problem(409, 'no-mold', 'This plan has no mold yet. Choose one in the plan first.');
  if (roundsPlaced(sheet, rules) < sheet.totals.rounds)
    throw tooManyRounds(sheet, roundsPlaced(sheet, rules));
  const pourPlan = await pourPlanOf(sheet, rules);
  const findings = allFindings(review, pourPlan, rules, null);
  return {
    sheet: slimSheet(sheet),
    rules: slimRules(rules),
    tasks: pourPlan.tasks,
    findings,
    isDerived: false,
  };
}

/** @throws Problem 422 for more pieces than the plan has */
function trialOf({ batch: _, ...plan }: Plan, pieces: number): Plan {
  if (pieces > plan.pieces)
    throw invalidField('trialPieces', `is more than the ${plan.pieces} pieces of the plan`);
  return { ...plan, pieces };
}

function stopped(findings: readonly Finding[]): Problem {
  return new Problem(
    409,
    'plan-has-stops',
    'This plan has a stop among its checks. Mend it in the plan first.',
    { findings: findings.filter(({ severity }) => severity === 'stop') },
  );
}

function tooManyRounds(sheet: Sheet, most: number): Problem {
  return new Problem(
    409,
    'too-many-rounds',
    `This takes ${sheet.totals.rounds} rounds of the mold, and one run takes ${most}. Make ${most * piecesOfRound(sheet, 0)} pieces at the most in a run.`,
  );
}
