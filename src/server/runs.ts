import { isDeepStrictEqual } from 'node:util';
import { roundsOnRack } from '../core/rack/roundsOnRack';
import { batchCode, batchPrefix } from '../core/run/batchCode';
import { checkEvent } from '../core/run/checkEvent';
import { progress } from '../core/run/progress';
import type { EventSource, Run, RunEvent } from '../core/run/run';
import { snapshotText } from '../db/snapshotText';
import { explainRunFault } from '../words/en/run/runFaults';
import { tellChange } from './changes';
import { checkContext } from './checkContext';
import { inTurns } from './inTurns';
import type { Workshop } from './openWorkshop';
import { findPlan } from './plans';
import { idTaken, invalidField, notFound, Problem } from './problem';
import { indexRun } from './search/indexRuns';
import { snapshotOf } from './snapshots';
import { stockFollows } from './stockFollows';

export function findRun({ runs }: Workshop, id: string): Run {
  const run = runs.find(id);
  if (!run) throw notFound('run', id);
  return run;
}

/**
 * Takes a plan's newest version to the bench: its sheet, the house rules, its tasks with their times and everything that
 * was found, frozen as they are now. The caller chooses the id, so that a request sent twice starts one run.
 *
 * @param trialPieces so many pieces only, to try the plan with; null for as many as it has
 * @throws Problem 409 when the plan has a stop, or takes more rounds than one run; 422 for a trial of more than it has
 */
export async function startRun(
  workshop: Workshop,
  id: string,
  planId: string,
  trialPieces: number | null = null,
): Promise<Run> {
  const known = workshop.runs.find(id);
  if (known) {
    if (known.planId === planId) return known;
    throw idTaken('run', id);
  }
  const turn = inTurns();
  const context = checkContext(workshop);
  await turn();
  const { version, revision, snapshot } = await snapshotOf(workshop, planId, context, trialPieces);
  await turn();
  // Written down before it is kept: where it is large, each of the two holds others.
  snapshotText(snapshot);
  await turn();
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

/** What an event is recorded with, as far as its sender says it. */
export interface EventAbout {
  /** ISO 8601; now where it is left out. */
  occurredAt?: string | undefined;
  source?: EventSource | undefined;
}

/**
 * Adds what happened to a run. When this returns, it is on the disk. The caller chooses the event's id, so that
 * one sent twice happens once.
 *
 * @throws Problem 409 when the event can't follow what has happened
 */
export function recordEvent(
  workshop: Workshop,
  runId: string,
  eventId: string,
  event: RunEvent,
  { occurredAt, source = {} }: EventAbout = {},
): Run {
  const record = workshop.db.transaction((): Run => {
    const run = findRun(workshop, runId);
    const sent = workshop.runs.eventSent(runId, eventId);
    if (sent) {
      if (sent.isOlder || isDeepStrictEqual(sent.event, JSON.parse(JSON.stringify(event)))) return run;
      throw idTaken('event', eventId);
    }
    const checked = checkEvent(run, event);
    if (!checked.success) throw new Problem(409, checked.error.code, explainRunFault(checked.error), { run });
    if (event.kind === 'photographed' && !workshop.files.find(event.hash))
      throw invalidField('event.hash', 'names a photograph that is not kept: send it first');
    const recordedAt = workshop.now();
    const recorded = { occurredAt: occurredAt ?? recordedAt, recordedAt, source, event };
    workshop.runs.append(runId, eventId, recorded);
    const after = workshop.runs.again(run);
    stockFollows(workshop, after, event);
    if (event.kind === 'finished' || event.kind === 'abandoned')
      workshop.runs.end(runId, event.kind, recorded.occurredAt, event.note);
    if (after.events.some((each) => each.event.kind === 'finished')) {
      indexRun(workshop, after);
      workshop.runs.setOnRack(runId, roundsOnRack(after, progress(after), Date.parse(recordedAt)).length > 0);
    }
    return after;
  });
  const run = record.immediate();
  tellChange({ run: runId, events: run.events.length });
  return run;
}
