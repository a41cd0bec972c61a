import { changed, type Done, partOf } from './done';
import { type ExtraBase, extraId, removeExtra } from './jugBase';
import { tasksOfPour, weighingsOfDose } from './leftOut';
import type { Fill, RecordedEvent, Verdict } from './run';
import type { Snapshot } from './snapshot';

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

export type Ended =
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

/** What events say of a run at the bench. */
export interface Said {
  /** By the id of the task. */
  done: ReadonlyMap<string, Done>;
  /** In the order it was asked for. */
  extra: readonly ExtraBase[];
  /** Touches of skins and readings of jugs, in the order they came. */
  touches: readonly Touch[];
  readings: readonly JugReading[];
  /** The air of the room as it was read last; null where nobody read it. */
  room: RoomRead | null;
  ended: Ended | null;
}

const NOTHING: Said = { done: new Map(), extra: [], touches: [], readings: [], room: null, ended: null };

/**
 * What events say, one after the other.
 *
 * @param before what those before them said; it stays as it is
 */
export function saidBy(snapshot: Snapshot, events: readonly RecordedEvent[], before: Said = NOTHING): Said {
  const done = new Map(before.done);
  const extra = [...before.extra];
  const touches = [...before.touches];
  const readings = [...before.readings];
  let { room, ended } = before;
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
        const last = done.get(event.taskId);
        if (last) done.set(event.taskId, changed(last, event));
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
  return { done, extra, touches, readings, room, ended };
}

/** Leaves out an optional dose with all its weighings, or a pour with all that is only for it. */
function leaveOut(taskId: string, at: string, { tasks, sheet }: Snapshot, done: Map<string, Done>): void {
  const task = tasks.find(({ id }) => id === taskId);
  const nothing = { at, massG: 0, parts: [], note: '', before: null };
  const ids = task?.kind === 'pour' ? tasksOfPour(task, tasks, sheet) : weighingsOfDose(tasks, sheet, taskId);
  for (const id of ids)
    if (!done.has(id)) done.set(id, task?.kind === 'pour' ? { ...nothing, withPourId: taskId } : nothing);
}

/** Takes back the last that was said of a task. */
function takeBack(
  taskId: string,
  { tasks, sheet }: Snapshot,
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
