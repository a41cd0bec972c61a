import type { ScheduledTask } from '../schedule/scheduledTask';
import { isWait, type TaskKind } from '../work/task';
import { type Afterwards, afterwardsOf } from './afterwards';
import type { RecordedEvent, RunSoFar } from './run';
import { type Ended, type JugReading, type RoomRead, type Said, saidBy, type Touch } from './said';
import type { Snapshot } from './snapshot';
import { type Standing, type TaskState, taskStates, taskStatesInTurns } from './taskStates';

/** Where a run stands. */
export interface Progress extends Afterwards {
  tasks: TaskState[];
  /** The task in hand: the first by the schedule that can be done; null when nothing is left that a run waits for. */
  inHand: TaskState | null;
  touches: readonly Touch[];
  readings: readonly JugReading[];
  room: RoomRead | null;
  ended: Ended | null;
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

/** What was told last of a snapshot, and by which events. */
interface Told {
  events: readonly RecordedEvent[];
  said: Said;
  standing: Standing;
}

const toldLast = new WeakMap<Snapshot, Told>();

/**
 * Where a run stands: its events told over its snapshot. Told once for a run, as none is changed once it is made, and
 * from where it stood before where that was told: events are only ever added.
 */
export function progress(run: RunSoFar): Progress {
  const before = known.get(run);
  if (before) return before;
  const { snapshot, events } = run;
  const last = toldLast.get(snapshot);
  const start = last && beginsWith(events, last.events) ? last : null;
  const said = saidBy(snapshot, start ? events.slice(start.events.length) : events, start?.said);
  const standing = taskStates(snapshot.tasks, said, start?.standing ?? null);
  // What is told of an earlier moment does not take the place of the last.
  if (!last || !beginsWith(last.events, events)) toldLast.set(snapshot, { events, said, standing });
  const so = progressOf(standing.tasks, said, afterwardsOf(events));
  known.set(run, so);
  return so;
}

/**
 * Tells a run of which nothing was told yet, a part of its tasks at a time: `progress` then goes on from there.
 *
 * @param turn waited for between two parts
 */
export async function tellInTurns({ snapshot, events }: RunSoFar, turn: () => Promise<void>): Promise<void> {
  if (toldLast.has(snapshot)) return;
  const said = saidBy(snapshot, events);
  const standing = await taskStatesInTurns(snapshot.tasks, said, turn);
  toldLast.set(snapshot, { events, said, standing });
}

function beginsWith(events: readonly RecordedEvent[], start: readonly RecordedEvent[]): boolean {
  return start.length <= events.length && start.every((event, place) => event === events[place]);
}

function progressOf(
  tasks: TaskState[],
  { touches, readings, room, ended }: Said,
  afterwards: Afterwards,
): Progress {
  const isOver = tasks.every((task) => task.doneAt !== null || !isWaitedFor(task));
  const inHand = isOver
    ? null
    : tasks.find((task) => task.doneAt === null && !isWait(task) && task.unmet.length === 0);
  return { tasks, inHand: inHand ?? null, touches, readings, ...afterwards, room, ended };
}

/** With what a thermometer showed of jugs besides, in order of time. */
export function withReadings(so: Progress, readings: readonly JugReading[]): Progress {
  if (readings.length === 0) return so;
  return { ...so, readings: [...so.readings, ...readings].sort((a, b) => a.at.localeCompare(b.at)) };
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
