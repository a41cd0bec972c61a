import type { ScheduledTask } from '../schedule/scheduledTask';
import { isWait, type TaskKind } from '../work/task';
import { type Afterwards, afterwardsOf } from './afterwards';
import { changed, type Done, partOf, tickedAs, type WeighedPart } from './done';
import { basesOf, type ExtraBase, extraId, removeExtra, weightsOf, withExtra } from './jugBase';
import { emptied, tasksOfPour, weighingsOfDose, withoutLeftOut } from './leftOut';
import type { Fill, RecordedEvent, RunSoFar, Verdict } from './run';

/** A task and where it stands. */
export type TaskState = ScheduledTask & {
  doneAt: string | null;
  /** Ids of the tasks that hands must do before it. */
  unmet: string[];
  /** Weighings only: what the plan says, what it becomes with the base that is in the jug, what was weighed. */
  plannedG: number | null;
  targetG: number | null;
  actualG: number | null;
  /** What makes up `actualG`, each from its lot. */
  parts: readonly WeighedPart[];
  /** What was ticked at first, where more was added or it was corrected since; else null. */
  tickedG: number | null;
  /** Why it was left as it is. */
  note: string;
  /** It was left out, or has nothing left to stir in or to lay. */
  isLeftOut: boolean;
};

/** A layer was touched: by the wait for its skin. */
export interface Touch {
  taskId: string;
  at: string;
  carries: boolean;
}

/** A jug was read: by its melt. */
export interface JugReading {
  taskId: string;
  at: string;
  tempC: number;
}

/** The air of a room, humidity as a fraction; null where it was not read. */
export interface RoomRead {
  at: string;
  tempC: number;
  humidity: number | null;
}

export interface Progress extends Afterwards {
  tasks: TaskState[];
  /** The task in hand: the first by the schedule that can be done; null when nothing is left that a run waits for. */
  inHand: TaskState | null;
  /** Touches of skins and readings of jugs, in the order they came. */
  touches: Touch[];
  readings: JugReading[];
  /** The air of the room as it was read last; null where nobody read it. */
  room: RoomRead | null;
  ended:
    | null
    | {
        kind: 'finished';
        at: string;
        verdict: Verdict;
        goodPieces: number;
        note: string;
        toScrapG: number;
        fill: Fill | null;
      }
    /** `isPutBack` where nothing of it was kept: what was taken off the shelf is there again. */
    | { kind: 'abandoned'; at: string; note: string; isPutBack: boolean };
}

/** A run is finished once its bars are out of their molds; these may come after it. */
const AFTERWARDS: ReadonlySet<TaskKind> = new Set(['cut-bars', 'harden', 'wrap', 'wash']);

/** Whether a task may still be done once its run is finished. */
export function isAfterwards({ kind }: Pick<ScheduledTask, 'kind'>): boolean {
  return AFTERWARDS.has(kind);
}

/** Whether a run can only be finished once this is done. */
export function isWaitedFor(task: Pick<ScheduledTask, 'kind'>): boolean {
  return !isWait(task) && !AFTERWARDS.has(task.kind);
}

const known = new WeakMap<RunSoFar, Progress>();

/** Where a run stands: its events told over its snapshot. Told once for a run, as none is changed once it is made. */
export function progress(run: RunSoFar): Progress {
  const before = known.get(run);
  if (before) return before;
  const so = toldOver(run);
  known.set(run, so);
  return so;
}

function toldOver({ snapshot, events }: RunSoFar): Progress {
  const done = new Map<string, Done>();
  const extra: ExtraBase[] = [];
  const touches: Touch[] = [];
  const readings: JugReading[] = [];
  let room: Progress['room'] = null;
  let ended: Progress['ended'] = null;
  for (const { occurredAt: at, event } of events) {
    switch (event.kind) {
      case 'weighed':
        done.set(event.taskId, {
          at,
          massG: event.massG,
          parts: [partOf(event)],
          note: event.note ?? '',
          before: null,
        });
        break;
      case 'added':
      case 'corrected': {
        const before = done.get(event.taskId);
        if (before) done.set(event.taskId, changed(before, event));
        break;
      }
      case 'done':
        done.set(event.taskId, { at, massG: null, parts: [], note: '', before: null });
        break;
      case 'left-out':
        leaveOut(event.taskId, at, snapshot, done);
        break;
      case 'undone':
        takeBack(event.taskId, snapshot, done, extra);
        break;
      case 'touched':
        touches.push({ taskId: event.taskId, at, carries: event.carries });
        break;
      case 'measured':
        readings.push({ taskId: event.taskId, at, tempC: event.tempC });
        break;
      case 'room-read':
        room = { at, tempC: event.tempC, humidity: event.humidity };
        break;
      case 'forgotten':
        removeLast(touches, event.taskId);
        removeLast(readings, event.taskId);
        break;
      case 'topped-up':
        extra.push({ ofTaskId: event.taskId, massG: event.massG, id: extraId(event.taskId, extra) });
        break;
      case 'finished': {
        const { verdict, goodPieces, note, toScrapG = 0, fill = null } = event;
        ended = { kind: 'finished', at, verdict, goodPieces, note, toScrapG, fill };
        break;
      }
      case 'abandoned':
        ended = { kind: 'abandoned', at, note: event.note, isPutBack: event.isPutBack === true };
        break;
    }
  }
  const all = withExtra(snapshot.tasks, extra);
  const empty = emptied(all, done);
  const recordOf = (id: string) => done.get(id) ?? empty.get(id);
  const byId = new Map(all.map((task) => [task.id, task]));
  const addUnmet = (needs: readonly string[], to: Set<string>): Set<string> => {
    for (const id of needs) {
      const need = byId.get(id);
      if (!need || recordOf(id)) continue;
      // A wait is over when hands say so by going on; only what comes before it can hold them up.
      if (isWait(need)) addUnmet(need.needs, to);
      else to.add(id);
    }
    return to;
  };
  const bases = basesOf(all, done, extra);
  const tasks = all.map((task): TaskState => {
    const record = recordOf(task.id);
    const { plannedG, targetG } = weightsOf(task, bases);
    // Set one by one: beside a spread, V8 takes three times as long for the same object.
    const state = { ...withoutLeftOut(task, byId, done) } as TaskState;
    state.doneAt = record?.at ?? null;
    state.actualG = record?.massG ?? null;
    state.parts = record?.parts ?? [];
    state.tickedG = tickedAs(record);
    state.note = record?.note ?? '';
    state.isLeftOut = record?.massG === 0 || (!done.has(task.id) && empty.has(task.id));
    state.unmet = [...addUnmet(task.needs, new Set())];
    state.plannedG = plannedG;
    state.targetG = targetG;
    return state;
  });
  const open = tasks.filter((task) => task.doneAt === null && isWaitedFor(task));
  const toDo = tasks.filter((task) => task.doneAt === null && !isWait(task));
  const inHand = open.length === 0 ? null : (toDo.find((task) => task.unmet.length === 0) ?? null);
  return { tasks, inHand, touches, readings, ...afterwardsOf(events), room, ended };
}

/** With what a thermometer showed of jugs besides, in order of time. */
export function withReadings(so: Progress, readings: readonly JugReading[]): Progress {
  if (readings.length === 0) return so;
  return { ...so, readings: [...so.readings, ...readings].sort((a, b) => a.at.localeCompare(b.at)) };
}

/** Leaves out an optional dose with all its weighings, or a pour with all that is only for it. */
function leaveOut(
  taskId: string,
  at: string,
  { tasks, sheet }: RunSoFar['snapshot'],
  done: Map<string, Done>,
): void {
  const task = tasks.find(({ id }) => id === taskId);
  const nothing = { at, massG: 0, parts: [], note: '', before: null };
  const ids = task?.kind === 'pour' ? tasksOfPour(task, tasks, sheet) : weighingsOfDose(tasks, sheet, taskId);
  for (const id of ids)
    if (!done.has(id)) done.set(id, task?.kind === 'pour' ? { ...nothing, withPourId: taskId } : nothing);
}

/** Takes back the last that was said of a task. */
function takeBack(
  taskId: string,
  { tasks, sheet }: RunSoFar['snapshot'],
  done: Map<string, Done>,
  extra: ExtraBase[],
): void {
  const last = done.get(taskId);
  if (last?.before) done.set(taskId, last.before);
  else if (last?.withPourId) {
    for (const [id, { withPourId }] of done) if (withPourId === last.withPourId) done.delete(id);
  } else if (last?.massG === 0) {
    for (const id of weighingsOfDose(tasks, sheet, taskId)) if (done.get(id)?.massG === 0) done.delete(id);
  }
  // A weighing that was asked for besides goes away with its undoing, once nothing is weighed for it.
  else if (!done.delete(taskId)) removeExtra(extra, taskId);
}

function removeLast(of: { taskId: string }[], taskId: string): void {
  const place = of.findLastIndex((each) => each.taskId === taskId);
  if (place >= 0) of.splice(place, 1);
}

/** True for what is over with the doses that were left out: it comes back with them. */
export function isEmptied({
  kind,
  isLeftOut,
  plannedG,
}: Pick<TaskState, 'kind' | 'isLeftOut' | 'plannedG'>): boolean {
  return isLeftOut && plannedG === null && kind !== 'pour';
}

export function withEvent<R extends { events: RecordedEvent[] }>(run: R, recorded: RecordedEvent): R {
  return { ...run, events: [...run.events, recorded] };
}

/** True once what was weighed for a dose is laid or poured. */
export function isInMold(task: TaskState, tasks: readonly TaskState[]): boolean {
  return tasks.some(
    (each) =>
      each.doneAt !== null &&
      !each.isLeftOut &&
      (each.kind === 'pour' || (each.kind === 'lay' && each.needs.includes(task.id))) &&
      each.round === task.round &&
      each.load === task.load &&
      each.pourIndexes.some((index) => task.pourIndexes.includes(index)),
  );
}
