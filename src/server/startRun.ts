import { batchCode, batchPrefix } from '../core/run/batchCode';
import type { Run } from '../core/run/run';
import { checkContext } from './checkContext';
import type { Workshop } from './openWorkshop';
import { findPlan } from './plans';
import { idTaken } from './problem';
import { snapshotOf } from './snapshots';

/**
 * Takes a plan's newest version to the bench: its sheet, the house rules, its tasks with their times and everything that
 * was found, frozen as they are now. The caller chooses the id, so that a request sent twice starts one run.
 *
 * @param trialPieces so many pieces only, to try the plan with; null for as many as it has
 * @throws Problem 409 when the plan has a stop, or takes more rounds than one run; 422 for a trial of more than it has
 */
export function startRun(
  workshop: Workshop,
  id: string,
  planId: string,
  trialPieces: number | null = null,
): Run {
  const known = workshop.runs.find(id);
  if (known) {
    if (known.planId === planId) return known;
    throw idTaken('run', id);
  }
  const { version, revision, snapshot } = snapshotOf(workshop, planId, checkContext(workshop), trialPieces);
  const start = workshop.db.transaction((): Run | null => {
    const started = workshop.runs.find(id);
    if (started) return started;
    // Saved anew while its times were worked out: what was looked at is no longer the plan.
    if (findPlan(workshop, planId).revision !== revision) return null;
    const startedAt = workshop.now();
    const run: Run = {
      ...{ id, planId, planVersion: version, startedAt, code: nextCode(workshop), snapshot },
      events: [],
    };
    workshop.runs.insert(run);
    return run;
  });
  return start.immediate() ?? startRun(workshop, id, planId, trialPieces);
}

/** Of the day, or the year, by this machine's clock. */
function nextCode({ runs, houseRules, now }: Workshop): string {
  const at = new Date(now());
  const pattern = houseRules.read().item.batchCode;
  const prefix = batchPrefix(pattern, at.getFullYear(), at.getMonth() + 1, at.getDate());
  return batchCode(prefix, runs.countOfCodes(`${prefix}-`) + 1);
}
