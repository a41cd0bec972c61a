import { piecesSeen } from '../inspection/inspection';
import { isOfPieces } from '../pieces/aside';
import { uncutBlocks } from '../pieces/cut';
import { fail, ok, type Result } from '../result';
import { isWait, type TaskKind } from '../work/task';
import { isTopUp } from './jugBase';
import { mayBeLeftOut, mayLeavePourOut } from './leftOut';
import { massKept } from './massKept';
import { piecesMade, roundGives } from './piecesMade';
import { isAfterwards, isEmptied, isInMold, isWaitedFor, type Progress, progress } from './progress';
import type { RunEvent, RunSoFar } from './run';
import type { TaskState } from './taskStates';

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
  | { code: 'cut-already'; blocks: number }
  | { code: 'more-than-is-there'; massG: number; restG: number }
  | { code: 'unknown-entry'; entryId: string }
  | { code: 'said-already'; entryId: string }
  | { code: 'unknown-inspection'; inspectionId: string }
  | { code: 'inspected-already'; inspectionId: string };

/** Whether an event may follow what has happened so far. */
export function checkEvent(run: RunSoFar, event: RunEvent): Result<RunEvent, RunFault> {
  const so = progress(run);
  const { tasks, ended } = so;
  if (ended && !mayFollow(ended, event, tasks)) return fail({ code: 'run-has-ended' });
  if (event.kind === 'inspected') return checkInspection(event, run, so);
  if (event.kind === 'withdrawn')
    return so.inspections.some(({ inspectionId }) => inspectionId === event.inspectionId)
      ? ok(event)
      : fail({ code: 'unknown-inspection', inspectionId: event.inspectionId });
  if (event.kind === 'cut') return checkCut(event, run, so);
  if (event.kind === 'set-aside') return checkAside(event, run, so);
  if (event.kind === 'photographed')
    return isEntry(event.photoId, so) ? fail({ code: 'said-already', entryId: event.photoId }) : ok(event);
  if (event.kind === 'taken-back')
    return isEntry(event.entryId, so) ? ok(event) : fail({ code: 'unknown-entry', entryId: event.entryId });
  if (event.kind === 'remarked' || event.kind === 'complained') return ok(event);
  if (event.kind === 'abandoned' || event.kind === 'room-read') return ok(event);
  if (event.kind === 'finished') {
    const open = tasks.filter((task) => task.doneAt === null && isWaitedFor(task)).length;
    if (open > 0) return fail({ code: 'tasks-are-open', open });
    const { restG } = massKept(run, so);
    const massG = event.toScrapG ?? 0;
    return massG > restG + 1e-6 ? fail({ code: 'more-than-is-there', massG, restG }) : ok(event);
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

/** What was melted for a run that was given up goes into a jar or is thrown away, unless it was put back. */
const AFTER_GIVING_UP: ReadonlySet<RunEvent['kind']> = new Set(['set-aside', 'taken-back', 'remarked']);

function mayFollow(
  ended: NonNullable<Progress['ended']>,
  event: RunEvent,
  tasks: readonly TaskState[],
): boolean {
  if (ended.kind === 'finished') return mayFollowFinish(event, tasks);
  return !ended.isPutBack && AFTER_GIVING_UP.has(event.kind);
}

/** What goes on once a run is in the Logbook: its bars are cut, wrapped and looked at, and words come later. */
function mayFollowFinish(event: RunEvent, tasks: readonly TaskState[]): boolean {
  switch (event.kind) {
    case 'inspected':
    case 'withdrawn':
    case 'remarked':
    case 'complained':
    case 'cut':
    case 'set-aside':
    case 'photographed':
    case 'taken-back':
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
  so: Progress,
): Result<RunEvent, RunFault> {
  const { round, inspectionId } = event;
  const { inspections } = so;
  const notOut = outOfMold(round, so);
  if (notOut) return fail(notOut);
  if (inspections.some((each) => each.inspectionId === inspectionId))
    return fail({ code: 'inspected-already', inspectionId });
  const most = Math.max(0, ...event.faults.map(({ pieces }) => pieces ?? 0));
  const [seen, made] = [Math.max(piecesSeen(event), most), piecesMade(sheet, round, so)];
  return seen > made ? fail({ code: 'too-many-pieces', seen, made }) : ok(event);
}

/** Why nothing can be done with the pieces of a round yet; null where it can. */
function outOfMold(round: number, { tasks }: Progress): RunFault | null {
  const unmold = tasks.find((task) => task.kind === 'unmold' && task.round === round);
  if (!unmold) return { code: 'unknown-round', round };
  return unmold.doneAt === null ? { code: 'not-out-yet', round } : null;
}

function isEntry(entryId: string, { cuts, asides, photos }: Progress): boolean {
  if (photos.some(({ photoId }) => photoId === entryId)) return true;
  return cuts.some(({ cutId }) => cutId === entryId) || asides.some(({ asideId }) => asideId === entryId);
}

/** Cut are blocks that nobody cut yet, or pieces that are there. */
function checkCut(
  event: Extract<RunEvent, { kind: 'cut' }>,
  run: RunSoFar,
  so: Progress,
): Result<RunEvent, RunFault> {
  const { cutId, round, of, count, lossG } = event;
  const { sheet } = run.snapshot;
  const notOut = outOfMold(round, so);
  if (notOut) return fail(notOut);
  if (isEntry(cutId, so)) return fail({ code: 'said-already', entryId: cutId });
  const { restG } = massKept(run, so);
  if (lossG > restG) return fail({ code: 'more-than-is-there', massG: lossG, restG });
  if (of === 'pieces') {
    const made = piecesMade(sheet, round, so, true);
    return count > made ? fail({ code: 'too-many-pieces', seen: count, made }) : ok(event);
  }
  const blocks = uncutBlocks(
    roundGives(sheet, round),
    so.cuts.filter((cut) => cut.round === round),
  );
  return count > blocks ? fail({ code: 'cut-already', blocks }) : ok(event);
}

/** No more is set aside than went in, and no more pieces than there are. */
function checkAside(
  event: Extract<RunEvent, { kind: 'set-aside' }>,
  run: RunSoFar,
  so: Progress,
): Result<RunEvent, RunFault> {
  const { asideId, round, massG, pieces } = event;
  if (isEntry(asideId, so)) return fail({ code: 'said-already', entryId: asideId });
  const { restG } = massKept(run, so);
  // The last digits of a sum are no gram.
  if (massG > restG + 1e-6) return fail({ code: 'more-than-is-there', massG, restG });
  if (!isOfPieces(event)) return ok(event);
  const notOut = outOfMold(round ?? -1, so);
  if (notOut) return fail(notOut);
  const made = piecesMade(run.snapshot.sheet, round ?? 0, so, true);
  return (pieces ?? 0) > made ? fail({ code: 'too-many-pieces', seen: pieces ?? 0, made }) : ok(event);
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
