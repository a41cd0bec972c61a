import { USUAL_HOUSE_RULES } from '../../src/core/houseRules/houseRules';
import type { Sheet } from '../../src/core/plan/sheet';
import { progress, withEvent } from '../../src/core/run/progress';
import type { RecordedEvent, Run, RunEvent } from '../../src/core/run/run';
import type { Snapshot } from '../../src/core/run/snapshot';
import { makePourPlan } from '../../src/core/schedule/makePourPlan';
import { findRun, recordEvent } from '../../src/server/runs';
import { startRun } from '../../src/server/startRun';
import type { Workshop } from '../../src/server/workshop';

export const AT = '2026-03-01T10:00:00.000Z';

/** What a run of a sheet rests on, by the usual house rules unless others are given. */
export function snapshotOf(sheet: Sheet, rules = USUAL_HOUSE_RULES): Snapshot {
  return { sheet, rules, tasks: makePourPlan(sheet, rules, 0).tasks, findings: [], isDerived: false };
}

export function recorded(event: RunEvent): RecordedEvent {
  return { occurredAt: AT, recordedAt: AT, source: {}, event };
}

/** A run with what has happened so far. */
export function runOf(sheet: Sheet, ...events: RunEvent[]): Run {
  return {
    id: 'run-1',
    planId: 'plan-1',
    planVersion: 1,
    startedAt: AT,
    code: null,
    snapshot: snapshotOf(sheet),
    events: events.map(recorded),
  };
}

export type Finished = Extract<RunEvent, { kind: 'finished' }>;

const FINISHED: Finished = { kind: 'finished', verdict: 'good', goodPieces: 6, note: '' };

/** The next thing that hands do, a weighing on its target times `baseTimes` for a base; null when nothing is left. */
export function nextEvent(run: Pick<Run, 'snapshot' | 'events'>, baseTimes = 1): RunEvent | null {
  const { inHand } = progress(run);
  if (!inHand) return null;
  if (inHand.targetG === null) return { kind: 'done', taskId: inHand.id };
  const massG = inHand.targetG * (inHand.kind === 'weigh-base' ? baseTimes : 1);
  return { kind: 'weighed', taskId: inHand.id, massG };
}

/** Everything done, the base weighed as so many times its target and the rest on target. */
export function madeRun(sheet: Sheet, baseTimes = 1, finish: Partial<Finished> = {}): Run {
  let run = runOf(sheet);
  for (let event = nextEvent(run, baseTimes); event; event = nextEvent(run, baseTimes))
    run = withEvent(run, recorded(event));
  return withEvent(run, recorded({ ...FINISHED, ...finish }));
}

/** The same in a workshop. */
export async function makeInWorkshop(
  workshop: Workshop,
  planId: string,
  finish: Partial<Finished> = {},
): Promise<Run> {
  const { id } = startRun(workshop, crypto.randomUUID(), planId);
  for (let event = nextEvent(findRun(workshop, id)); event; event = nextEvent(findRun(workshop, id)))
    recordEvent(workshop, id, crypto.randomUUID(), event);
  const eventId = crypto.randomUUID();
  recordEvent(workshop, id, eventId, { ...FINISHED, ...finish });
  return recordEvent(workshop, id, eventId, { ...FINISHED, ...finish });
}
