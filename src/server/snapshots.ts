import type { CheckContext } from '../core/checks/finding';
import type { Plan, PlanFile } from '../core/plan/plan';
import type { Snapshot } from '../core/run/snapshot';
import { type SnapshotFault, takeSnapshot } from '../core/run/takeSnapshot';
import type { Workshop } from './openWorkshop';
import { planFileOf } from './planFile';
import { findPlan } from './plans';
import { invalidField, Problem } from './problem';

/**
 * What a run of a plan's newest version rests on.
 *
 * @param trialPieces so many pieces only; null for as many as it has
 * @throws Problem 409 when the plan has a stop, or takes more rounds than one run; 422 for a trial of more than it has
 */
export function snapshotOf(
  workshop: Workshop,
  planId: string,
  context: CheckContext,
  trialPieces: number | null = null,
): { version: number; revision: number; snapshot: Snapshot } {
  const { plan: whole, version, revision } = findPlan(workshop, planId);
  const plan = trialPieces === null ? whole : trialOf(whole, trialPieces);
  const snapshot = snapshotOfFile(planFileOf(workshop, plan), context);
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
export function snapshotOfFile(file: PlanFile, context: CheckContext): Snapshot {
  const taken = takeSnapshot(file, context);
  if (!taken.success) throw problemOf(taken.error);
  return taken.data;
}

/** @throws Problem 422 for more pieces than the plan has */
function trialOf({ batch: _, ...plan }: Plan, pieces: number): Plan {
  if (pieces > plan.pieces)
    throw invalidField('trialPieces', `is more than the ${plan.pieces} pieces of the plan`);
  return { ...plan, pieces };
}

function problemOf(fault: SnapshotFault): Problem {
  switch (fault.code) {
    case 'plan-has-stops':
      return new Problem(
        409,
        fault.code,
        'This plan has a stop among its checks. Mend it in the plan first.',
        { findings: fault.findings },
      );
    case 'no-mold':
      return new Problem(409, fault.code, 'This plan has no mold yet. Choose one in the plan first.');
    case 'too-many-rounds':
      return new Problem(
        409,
        fault.code,
        `This takes ${fault.rounds} rounds of the mold, and one run takes ${fault.most}. Make ${fault.mostPieces} pieces at the most in a run.`,
      );
  }
}
