import { hasStop, reviewPlan } from '../core/checks/review';
import type { Run, RunEvent } from '../core/run/run';
import { checkEvent, type RunFault, withEvent } from '../core/run/runState';
import { checkContext } from './checkContext';
import { planFileOf } from './planFile';
import { findPlan } from './plans';
import { notFound, Problem } from './problem';
import { putIntoScrapJar, takeForRun } from './stock';
import type { Workshop } from './workshop';

export function findRun({ runs }: Workshop, id: string): Run {
  const run = runs.find(id);
  if (!run) throw notFound('run', id);
  return run;
}

/**
 * Takes a plan's newest version to the bench, its sheet frozen as it is now. The caller chooses the id, so that
 * a request sent twice starts one run.
 *
 * @throws Problem 409 when the plan has a stop
 */
export function startRun(workshop: Workshop, id: string, planId: string): Run {
  const start = workshop.db.transaction((): Run => {
    const known = workshop.runs.find(id);
    if (known) return known;
    const { plan, version } = findPlan(workshop, planId);
    const { sheet, findings } = reviewPlan(planFileOf(workshop, plan), checkContext(workshop));
    if (!sheet || hasStop(findings)) {
      throw new Problem(
        409,
        'plan-has-stops',
        'This plan has a stop among its checks. Mend it in the plan first.',
        {
          findings: findings.filter(({ severity }) => severity === 'stop'),
        },
      );
    }
    const run: Run = {
      id,
      planId,
      planVersion: version,
      startedAt: workshop.now(),
      sheet,
      findings,
      events: [],
    };
    workshop.runs.insert(run);
    return run;
  });
  return start.immediate();
}

/**
 * Adds what happened to a run. When this returns, it is on the disk. The caller chooses the event's id, so that
 * one sent twice happens once.
 *
 * @throws Problem 409 when the event can't follow what has happened
 */
export function recordEvent(workshop: Workshop, runId: string, eventId: string, event: RunEvent): Run {
  const record = workshop.db.transaction((): Run => {
    const run = findRun(workshop, runId);
    if (workshop.runs.hasEvent(runId, eventId)) return run;
    const checked = checkEvent(run, event);
    if (!checked.success) throw new Problem(409, checked.error.code, explainRunFault(checked.error), { run });
    const at = workshop.now();
    workshop.runs.append(runId, eventId, at, event);
    if (event.type === 'finished') {
      takeForRun(workshop, run, event.lots ?? []);
      putIntoScrapJar(workshop, run, event.toScrapG ?? 0);
    }
    if (event.type === 'finished' || event.type === 'abandoned') workshop.runs.end(runId, event.type);
    return withEvent(run, { at, event });
  });
  return record.immediate();
}

function explainRunFault(fault: RunFault): string {
  switch (fault.code) {
    case 'run-has-ended':
      return 'This run has ended, and what it holds stays as it is.';
    case 'unknown-step':
      return `There is no step “${fault.stepId}” in this run.`;
    case 'already-done':
      return 'This step has been ticked already, perhaps on another screen. Undo it first to weigh again.';
    case 'not-a-weighing':
      return 'Nothing is weighed in this step. Tick it without a weight.';
    case 'needs-a-weight':
      return 'This step needs the weight that is on the scale.';
    case 'not-done-yet':
      return 'This step is open, so there is nothing to undo.';
    case 'steps-are-open':
      return `${fault.open} ${fault.open === 1 ? 'step is' : 'steps are'} still open. Tick them first, or give the run up.`;
  }
}
