import { jugGroups } from '../pours/sharedJug';
import { fail, ok, type Result } from '../result';
import type { ScheduledTask } from '../schedule/scheduledTask';
import { isWait, type TaskKind } from '../work/task';
import { pourTaskId } from '../work/tasksOf';
import {
  type Done,
  emptied,
  mayBeLeftOut,
  type WeighedPart,
  weighingsOfDose,
  withoutLeftOut,
} from './leftOut';
import type { Fill, RecordedEvent, RunEvent, RunSoFar, Verdict } from './run';

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

export interface Progress {
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
    | { kind: 'abandoned'; at: string; note: string };
}

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
  | { code: 'tasks-are-open'; open: number };

/** A run is finished once its bars are out of their molds; these may come after it. */
const AFTERWARDS: ReadonlySet<TaskKind> = new Set(['cut-bars', 'harden', 'wrap', 'wash']);

/** Whether a run can only be finished once this is done. */
export function isWaitedFor(task: Pick<ScheduledTask, 'kind'>): boolean {
  return !isWait(task) && !AFTERWARDS.has(task.kind);
}

/** Where a run stands: its events told over its snapshot. */
export function progress({ snapshot, events }: RunSoFar): Progress {
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
        for (const id of weighingsOfDose(snapshot.tasks, snapshot.sheet, event.taskId))
          if (!done.has(id)) done.set(id, { at, massG: 0, parts: [], note: '', before: null });
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
        ended = { kind: 'abandoned', at, note: event.note };
        break;
    }
  }
  const all = withExtra(snapshot.tasks, extra);
  const empty = emptied(all, done);
  const recordOf = (id: string) => done.get(id) ?? empty.get(id);
  const byId = new Map(all.map((task) => [task.id, task]));
  const unmet = (needs: readonly string[]): string[] =>
    needs.flatMap((id) => {
      const need = byId.get(id);
      if (!need || recordOf(id)) return [];
      // A wait is over when hands say so by going on; only what comes before it can hold them up.
      return isWait(need) ? unmet(need.needs) : [id];
    });
  const bases = basesOf(all, done, extra);
  const tasks = all.map((task): TaskState => {
    const record = recordOf(task.id);
    return {
      ...withoutLeftOut(task, all, done),
      doneAt: record?.at ?? null,
      actualG: record?.massG ?? null,
      parts: record?.parts ?? [],
      tickedG: tickedAs(record),
      note: record?.note ?? '',
      isLeftOut: record?.massG === 0 || (!done.has(task.id) && empty.has(task.id)),
      unmet: [...new Set(unmet(task.needs))],
      ...weightsOf(task, bases),
    };
  });
  const open = tasks.filter((task) => task.doneAt === null && isWaitedFor(task));
  const toDo = tasks.filter((task) => task.doneAt === null && !isWait(task));
  const inHand = open.length === 0 ? null : (toDo.find((task) => task.unmet.length === 0) ?? null);
  return { tasks, inHand, touches, readings, room, ended };
}

/** With what a thermometer showed of jugs besides, in order of time. */
export function withReadings(so: Progress, readings: readonly JugReading[]): Progress {
  if (readings.length === 0) return so;
  return { ...so, readings: [...so.readings, ...readings].sort((a, b) => a.at.localeCompare(b.at)) };
}

/** What was weighed, with what was said of it later; the moment stays that of its tick. */
function changed(before: Done, event: Extract<RunEvent, { kind: 'added' | 'corrected' }>): Done {
  return event.kind === 'added'
    ? { ...before, massG: (before.massG ?? 0) + event.massG, parts: [...before.parts, partOf(event)], before }
    : { ...before, massG: event.massG, parts: [partOf(event)], note: event.note ?? before.note, before };
}

function partOf({ massG, lotId }: { massG: number; lotId?: string | undefined }): WeighedPart {
  return { massG, lotId: lotId ?? null };
}

function tickedAs(record: Done | undefined): number | null {
  let first = record?.before ?? null;
  while (first?.before) first = first.before;
  return first?.massG ?? null;
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
  else if (last?.massG === 0) {
    for (const id of weighingsOfDose(tasks, sheet, taskId)) if (done.get(id)?.massG === 0) done.delete(id);
  }
  // A weighing that was asked for besides goes away with its undoing, once nothing is weighed for it.
  else if (!done.delete(taskId)) removeExtra(extra, taskId);
}

function removeLast(of: { taskId: string }[], taskId: string): void {
  const place = of.findLastIndex((each) => each.taskId === taskId);
  if (place >= 0) of.splice(place, 1);
}

/** The base of one load of a jug: what was planned, and what was weighed. */
interface LoadBase {
  plannedG: number;
  actualG: number | null;
}

/** A weighing of base that was asked for at the bench. */
interface ExtraBase {
  id: string;
  ofTaskId: string;
  massG: number;
}

function extraId(taskId: string, extra: readonly ExtraBase[]): string {
  const numbers = extra
    .filter(({ ofTaskId }) => ofTaskId === taskId)
    .map(({ id }) => Number(id.slice(taskId.length + 1)));
  return `${taskId}+${Math.max(0, ...numbers) + 1}`;
}

function removeExtra(extra: ExtraBase[], id: string): void {
  const place = extra.findIndex((each) => each.id === id);
  if (place >= 0) extra.splice(place, 1);
}

/** The tasks with what was asked for besides: weighed before the first pour of its jug. */
function withExtra(tasks: readonly ScheduledTask[], extra: readonly ExtraBase[]): readonly ScheduledTask[] {
  if (extra.length === 0) return tasks;
  const more = new Map<string, ScheduledTask[]>();
  for (const { id, ofTaskId, massG } of extra) {
    const base = tasks.find((task) => task.id === ofTaskId);
    const pour = tasks.find(
      (task) =>
        task.kind === 'pour' &&
        task.round === base?.round &&
        task.load === base.load &&
        task.pourIndexes.some((index) => base.pourIndexes.includes(index)),
    );
    if (base?.kind !== 'weigh-base' || !pour) continue;
    const task: ScheduledTask = { ...base, id, massG, cutG: massG, needs: [ofTaskId] };
    more.set(pour.id, [...(more.get(pour.id) ?? []), task]);
  }
  return tasks.flatMap((task) => {
    const before = more.get(task.id);
    return before ? [...before, { ...task, needs: [...task.needs, ...before.map(({ id }) => id)] }] : [task];
  });
}

/** True for a weighing of base that was asked for at the bench. */
export function isTopUp({ id, kind }: Pick<ScheduledTask, 'id' | 'kind'>): boolean {
  return kind === 'weigh-base' && /\+\d+$/.test(id);
}

function basesOf(
  tasks: readonly ScheduledTask[],
  done: ReadonlyMap<string, { massG: number | null }>,
  extra: readonly ExtraBase[],
) {
  const actualOf = (id: string) => {
    const massG = done.get(id)?.massG ?? null;
    if (massG === null) return null;
    const more = extra.filter(({ ofTaskId }) => ofTaskId === id);
    return more.reduce((sum, each) => sum + (done.get(each.id)?.massG ?? 0), massG);
  };
  return new Map(
    tasks.flatMap((task): [string, LoadBase][] =>
      task.kind === 'weigh-base' ? [[task.id, { plannedG: task.massG, actualG: actualOf(task.id) }]] : [],
    ),
  );
}

/** Id of the weighing of the base that a task's jug holds. */
export function baseTaskId(
  { sheet: { pours } }: RunSoFar['snapshot'],
  { round, load, pourIndexes }: Pick<ScheduledTask, 'round' | 'load' | 'pourIndexes'>,
): string {
  const [own = 0] = pourIndexes;
  const head = jugGroups(pours).find((group) => group.includes(own))?.[0] ?? own;
  return pourTaskId(round, pours[head]?.letter ?? '', load, 'base');
}

/** The doses follow the weight that is really in the jug; each load by its own. */
function weightsOf(
  task: ScheduledTask,
  bases: ReadonlyMap<string, LoadBase>,
): Pick<TaskState, 'plannedG' | 'targetG'> {
  if (task.kind === 'weigh-base') return { plannedG: task.massG, targetG: task.massG };
  if (task.kind !== 'weigh-dose') return { plannedG: null, targetG: null };
  const base = task.needs.map((id) => bases.get(id)).find((each) => each !== undefined);
  return {
    plannedG: task.massG,
    targetG: base ? rescaled(task.massG, base.plannedG, base.actualG) : task.massG,
  };
}

/** A dose in proportion to the base that is in the jug; as planned until that is known. */
export function rescaled(plannedG: number, plannedBaseG: number, actualBaseG: number | null): number {
  return actualBaseG === null ? plannedG : (plannedG * actualBaseG) / plannedBaseG;
}

/** Whether an event may follow what has happened so far. */
export function checkEvent(run: RunSoFar, event: RunEvent): Result<RunEvent, RunFault> {
  const { tasks, ended, touches, readings } = progress(run);
  if (ended) return fail({ code: 'run-has-ended' });
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
    return checkSeen(event, task, tasks, { touches, readings });
  if (event.kind === 'added' || event.kind === 'corrected') return checkChange(event, task, tasks);
  if (isWait(task)) return fail({ code: 'is-a-wait', taskId });
  const weighs = task.plannedG !== null;
  if (event.kind === 'weighed' && !weighs) return fail({ code: 'not-a-weighing', taskId });
  if (event.kind === 'left-out' && !mayBeLeftOut(run.snapshot.sheet, task))
    return fail({ code: 'not-optional', taskId });
  if (event.kind === 'done' && weighs) return fail({ code: 'needs-a-weight', taskId });
  if (isDone) return fail({ code: 'already-done', taskId });
  if (task.unmet.length > 0) return fail({ code: 'needs-first', taskId, needs: task.unmet });
  return ok(event);
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

/** True once what was weighed for a dose is laid or poured. */
export function isInMold(task: TaskState, tasks: readonly TaskState[]): boolean {
  return tasks.some(
    (each) =>
      each.doneAt !== null &&
      (each.kind === 'pour' || (each.kind === 'lay' && each.needs.includes(task.id))) &&
      each.round === task.round &&
      each.load === task.load &&
      each.pourIndexes.some((index) => task.pourIndexes.includes(index)),
  );
}

/** What is touched has been poured, what is read has been melted. */
function checkSeen(
  event: Extract<RunEvent, { kind: 'touched' | 'measured' | 'forgotten' }>,
  task: TaskState,
  tasks: readonly TaskState[],
  { touches, readings }: Pick<Progress, 'touches' | 'readings'>,
): Result<RunEvent, RunFault> {
  const { taskId } = event;
  if (event.kind === 'forgotten')
    return [...touches, ...readings].some((each) => each.taskId === taskId)
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

/** True for what is over with the doses that were left out: it comes back with them. */
export function isEmptied({ isLeftOut, plannedG }: Pick<TaskState, 'isLeftOut' | 'plannedG'>): boolean {
  return isLeftOut && plannedG === null;
}

export function withEvent<R extends { events: RecordedEvent[] }>(run: R, recorded: RecordedEvent): R {
  return { ...run, events: [...run.events, recorded] };
}
