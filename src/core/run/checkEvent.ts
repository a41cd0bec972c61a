import { piecesSeen } from '../inspection/inspection';
import { fail, ok, type Result } from '../result';
import { piecesOfRound } from '../work/rounds';
import { isWait, type TaskKind } from '../work/task';
import { isTopUp } from './jugBase';
import { mayBeLeftOut, mayLeavePourOut } from './leftOut';
import {
  isAfterwards,
  isEmptied,
  isInMold,
  isWaitedFor,
  type Progress,
  progress,
  type TaskState,
} from './progress';
import type { RunEvent, RunSoFar } from './run';

/** Why an event can't follow what has happened. */
export type RunFault =
  | { code: 'run-has-ended' }
  | { code: 'unknown-task'; taskId: string }
  | { code: 'not-a-weighing'; taskId: string }
  | { code: 'needs-a-weight'; taskId: string }
  | { code: 'is-a-wait'; taskId: string }
  | { code: 'not-optional'; taskId: string }
  | { code: 'not-a-skin'; taskId: string }
  | { code: 'not-a-jug'; taskId: string }
  | { code: 'needs-first'; taskId: string; needs: string[] }
  | { code: 'not-done-yet'; taskId: string }
  | { code: 'already-done'; taskId: string }
  | { code: 'already-poured'; taskId: string }
  | { code: 'tasks-are-open'; open: number }
  | { code: 'not-felt'; taskId: string }
  | { code: 'not-out-yet'; round: number }
  | { code: 'unknown-round'; round: number }
  | { code: 'too-many-pieces'; seen: number; made: number }
  | { code: 'unknown-inspection'; inspectionId: string }
  | { code: 'inspected-already'; inspectionId: string };

/** Whether an event may follow what has happened so far. */
export function checkEvent(run: RunSoFar, event: RunEvent): Result<RunEvent, RunFault> {
  const so = progress(run);
  const { tasks, ended } = so;
  if (ended?.kind === 'abandoned' || (ended && !mayFollowFinish(event, tasks)))
    return fail({ code: 'run-has-ended' });
  if (event.kind === 'inspected') return checkInspection(event, run, so);
  if (event.kind === 'withdrawn')
    return so.inspections.some(({ inspectionId }) => inspectionId === event.inspectionId)
      ? ok(event)
      : fail({ code: 'unknown-inspection', inspectionId: event.inspectionId });
  if (event.kind === 'remarked' || event.kind === 'complained') return ok(event);
  if (event.kind === 'abandoned' || event.kind === 'room-read') return ok(event);
  if (event.kind === 'finished') {
    const open = tasks.filter((task) => task.doneAt === null && isWaitedFor(task)).length;
    return open > 0 ? fail({ code: 'tasks-are-open', open }) : ok(event);
  }
  const { taskId } = event;
  const task = tasks.find(({ id }) => id === taskId);
  if (!task) return fail({ code: 'unknown-task', taskId });
  const isDone = task.doneAt !== null;
  if (event.kind === 'topped-up') {
    const isBase = task.kind === 'weigh-base' && !isTopUp(task);
    return isBase && isDone ? ok(event) : fail({ code: 'needs-first', taskId, needs: [taskId] });
  }
  if (event.kind === 'undone')
    return (isDone && !isEmptied(task)) || isTopUp(task) ? ok(event) : fail({ code: 'not-done-yet', taskId });
  if (event.kind === 'touched' || event.kind === 'measured' || event.kind === 'forgotten')
    return checkSeen(event, task, so);
  if (event.kind === 'felt')
    return FELT_FOR.has(task.kind) && !isDone ? ok(event) : fail({ code: 'not-felt', taskId });
  if (event.kind === 'added' || event.kind === 'corrected') return checkChange(event, task, tasks);
  if (isWait(task)) return fail({ code: 'is-a-wait', taskId });
  const weighs = task.plannedG !== null;
  if (event.kind === 'weighed' && !weighs) return fail({ code: 'not-a-weighing', taskId });
  if (event.kind === 'left-out') {
    const isLeftOut = (id: string) => tasks.some((each) => each.id === id && each.isLeftOut);
    if (!isDone && mayLeavePourOut(task, tasks, isLeftOut)) return ok(event);
    if (!mayBeLeftOut(run.snapshot.sheet, task)) return fail({ code: 'not-optional', taskId });
  }
  if (event.kind === 'done' && weighs) return fail({ code: 'needs-a-weight', taskId });
  if (isDone) return fail({ code: 'already-done', taskId });
  if (task.unmet.length > 0) return fail({ code: 'needs-first', taskId, needs: task.unmet });
  return ok(event);
}

/** What is felt before it is done. */
const FELT_FOR: ReadonlySet<TaskKind> = new Set(['unmold', 'cut-bars']);

/** What goes on once a run is in the Logbook: its bars are cut, wrapped and looked at, and words come later. */
function mayFollowFinish(event: RunEvent, tasks: readonly TaskState[]): boolean {
  switch (event.kind) {
    case 'inspected':
    case 'withdrawn':
    case 'remarked':
    case 'complained':
      return true;
    case 'done':
    case 'undone':
    case 'felt':
    case 'forgotten':
      return tasks.some((task) => task.id === event.taskId && isAfterwards(task));
    default:
      return false;
  }
}

/** Looked at are the pieces of a round that is out of its mold, and no more of them than were made. */
function checkInspection(
  event: Extract<RunEvent, { kind: 'inspected' }>,
  { snapshot: { sheet } }: RunSoFar,
  { tasks, inspections }: Progress,
): Result<RunEvent, RunFault> {
  const { round, inspectionId } = event;
  const unmold = tasks.find((task) => task.kind === 'unmold' && task.round === round);
  if (!unmold) return fail({ code: 'unknown-round', round });
  if (unmold.doneAt === null) return fail({ code: 'not-out-yet', round });
  if (inspections.some((each) => each.inspectionId === inspectionId))
    return fail({ code: 'inspected-already', inspectionId });
  const most = Math.max(0, ...event.faults.map(({ pieces }) => pieces ?? 0));
  const [seen, made] = [Math.max(piecesSeen(event), most), Math.ceil(piecesOfRound(sheet, round) - 1e-9)];
  return seen > made ? fail({ code: 'too-many-pieces', seen, made }) : ok(event);
}

/** Only what was weighed is added to or corrected, and added to only while it is not in a mold. */
function checkChange(
  event: Extract<RunEvent, { kind: 'added' | 'corrected' }>,
  task: TaskState,
  tasks: readonly TaskState[],
): Result<RunEvent, RunFault> {
  const { taskId } = event;
  if (task.plannedG === null || (event.kind === 'added' && task.kind !== 'weigh-dose'))
    return fail({ code: 'not-a-weighing', taskId });
  if (task.doneAt === null || task.isLeftOut) return fail({ code: 'not-done-yet', taskId });
  if (event.kind === 'added' && isInMold(task, tasks)) return fail({ code: 'already-poured', taskId });
  return ok(event);
}

/** What is touched has been poured, what is read has been melted. */
function checkSeen(
  event: Extract<RunEvent, { kind: 'touched' | 'measured' | 'forgotten' }>,
  task: TaskState,
  { tasks, touches, readings, feels }: Progress,
): Result<RunEvent, RunFault> {
  const { taskId } = event;
  if (event.kind === 'forgotten')
    return [...touches, ...readings, ...feels].some((each) => each.taskId === taskId)
      ? ok(event)
      : fail({ code: 'not-done-yet', taskId });
  if (event.kind === 'touched') {
    if (task.kind !== 'skin') return fail({ code: 'not-a-skin', taskId });
    const open = task.needs.filter((id) => tasks.some((each) => each.id === id && each.doneAt === null));
    return open.length > 0 ? fail({ code: 'needs-first', taskId, needs: open }) : ok(event);
  }
  if (task.kind !== 'melt') return fail({ code: 'not-a-jug', taskId });
  return task.doneAt === null ? fail({ code: 'needs-first', taskId, needs: [taskId] }) : ok(event);
}
