import { jugGroups } from '../plan/oneJug';
import type { Sheet } from '../plan/sheet';
import { fail, ok, type Result } from '../result';
import type { RecordedEvent, Run, RunEvent, Verdict } from './run';
import { type Step, stepsOf } from './steps';

export type StepState = Step & {
  doneAt: string | null;
  /** Weighing steps only: what the sheet says, what it becomes with the base that is in the jug, what was weighed. */
  plannedG: number | null;
  targetG: number | null;
  actualG: number | null;
};

export interface RunState {
  steps: StepState[];
  ended:
    | null
    | { how: 'finished'; at: string; verdict: Verdict; goodPieces: number; note: string; toScrapG: number }
    | { how: 'abandoned'; at: string; note: string };
}

export type RunFault =
  | { code: 'run-has-ended' }
  | { code: 'unknown-step'; stepId: string }
  | { code: 'not-a-weighing'; stepId: string }
  | { code: 'needs-a-weight'; stepId: string }
  | { code: 'not-done-yet'; stepId: string }
  | { code: 'already-done'; stepId: string }
  | { code: 'steps-are-open'; open: number };

/** Where a run stands: its events told over its frozen sheet. */
export function runState({ sheet, events }: Pick<Run, 'sheet' | 'events'>): RunState {
  const done = new Map<string, { at: string; massG: number | null }>();
  let ended: RunState['ended'] = null;
  for (const { at, event } of events) {
    switch (event.type) {
      case 'weighed':
        done.set(event.stepId, { at, massG: event.massG });
        break;
      case 'done':
        done.set(event.stepId, { at, massG: null });
        break;
      case 'undone':
        done.delete(event.stepId);
        break;
      case 'finished':
        ended = { how: 'finished', at, ...withoutType(event) };
        break;
      case 'abandoned':
        ended = { how: 'abandoned', at, note: event.note };
        break;
    }
  }
  const jugs = jugsOf(sheet, (letter) => done.get(`${letter}/base`)?.massG ?? null);
  const steps = stepsOf(sheet).map((step) => {
    const record = done.get(step.id);
    return {
      ...step,
      doneAt: record?.at ?? null,
      actualG: record?.massG ?? null,
      ...weightsOf(step, sheet, jugs[step.pourIndex]),
    };
  });
  return { steps, ended };
}

function withoutType({ verdict, goodPieces, note, toScrapG = 0 }: Extract<RunEvent, { type: 'finished' }>) {
  return { verdict, goodPieces, note, toScrapG };
}

/** The base of the jug that a pour comes from: what was planned, and what was weighed. */
interface JugBase {
  plannedG: number;
  actualG: number | null;
}

/** By pour; those that share a jug share its base. */
function jugsOf({ pours }: Sheet, weighedG: (letter: string) => number | null): JugBase[] {
  return jugGroups(pours).flatMap((group) => {
    const head = pours[group[0] ?? 0];
    const jug = { plannedG: head?.meltG ?? 0, actualG: head ? weighedG(head.letter) : null };
    return group.map(() => jug);
  });
}

/** The doses follow the weight that is really in the jug. */
function weightsOf(step: Step, sheet: Sheet, jug: JugBase | undefined) {
  const pour = sheet.pours[step.pourIndex];
  if (pour && step.kind === 'weigh-base') return { plannedG: pour.meltG, targetG: pour.meltG };
  const line = step.kind === 'weigh-dose' ? pour?.lines[step.lineIndex] : undefined;
  if (!jug || !line) return { plannedG: null, targetG: null };
  return { plannedG: line.addG, targetG: rescaled(line.addG, jug.plannedG, jug.actualG) };
}

/** A dose in proportion to the base that is in the jug; as planned until that is known. */
export function rescaled(plannedG: number, plannedBaseG: number, actualBaseG: number | null): number {
  return actualBaseG === null ? plannedG : (plannedG * actualBaseG) / plannedBaseG;
}

/** Whether an event may follow what has happened so far. */
export function checkEvent(run: Pick<Run, 'sheet' | 'events'>, event: RunEvent): Result<RunEvent, RunFault> {
  const state = runState(run);
  if (state.ended) return fail({ code: 'run-has-ended' });
  if (event.type === 'abandoned') return ok(event);
  if (event.type === 'finished') {
    const open = state.steps.filter((step) => step.doneAt === null).length;
    return open > 0 ? fail({ code: 'steps-are-open', open }) : ok(event);
  }
  const step = state.steps.find(({ id }) => id === event.stepId);
  if (!step) return fail({ code: 'unknown-step', stepId: event.stepId });
  const weighs = step.plannedG !== null;
  if (event.type === 'weighed' && !weighs) return fail({ code: 'not-a-weighing', stepId: step.id });
  if (event.type === 'done' && weighs) return fail({ code: 'needs-a-weight', stepId: step.id });
  const isDone = step.doneAt !== null;
  if (event.type === 'undone' && !isDone) return fail({ code: 'not-done-yet', stepId: step.id });
  if (event.type !== 'undone' && isDone) return fail({ code: 'already-done', stepId: step.id });
  return ok(event);
}

export function withEvent<R extends { events: RecordedEvent[] }>(run: R, recorded: RecordedEvent): R {
  return { ...run, events: [...run.events, recorded] };
}
