import { isDeepStrictEqual } from 'node:util';
import { roundsOnRack } from '../core/rack/roundsOnRack';
import { checkEvent } from '../core/run/checkEvent';
import { progress } from '../core/run/progress';
import type { EventSource, Run, RunEvent } from '../core/run/run';
import { explainRunFault } from '../words/en/run/runFaults';
import { tellChange } from './changes';
import type { Workshop } from './openWorkshop';
import { idTaken, invalidField, notFound, Problem } from './problem';
import { indexRun } from './search/indexRuns';
import { stockFollows } from './stockFollows';

export function findRun({ runs }: Workshop, id: string): Run {
  const run = runs.find(id);
  if (!run) throw notFound('run', id);
  return run;
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
