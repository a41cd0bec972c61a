import { inSlices } from '../core/inSlices';
import type { Sheet } from '../core/plan/sheet';
import type { Snapshot } from '../core/run/snapshot';

/** What a run rests on as JSON, in parts that are each read or written within some milliseconds. */
export interface SnapshotParts {
  /** An object without its tasks and without the pours of its sheet. */
  rest: string;
  /** A list each. */
  pours: string[];
  tasks: string[];
}

/** Of sixty doses each. */
const POURS_AT_ONCE = 4;
const TASKS_AT_ONCE = 500;
const texts = new WeakMap<Snapshot, string>();

/** What a run rests on, as JSON. It is the most of a run and stays as it is, so that its text is written once. */
export function snapshotText(snapshot: Snapshot): string {
  const text = texts.get(snapshot) ?? textOf(partsOfSnapshot(snapshot));
  texts.set(snapshot, text);
  return text;
}

export function partsOfSnapshot(snapshot: Snapshot): SnapshotParts {
  return {
    rest: restText(snapshot),
    pours: inSlices(snapshot.sheet.pours, POURS_AT_ONCE).map((some) => JSON.stringify(some)),
    tasks: inSlices(snapshot.tasks, TASKS_AT_ONCE).map((some) => JSON.stringify(some)),
  };
}

function restText({ sheet: { pours: _pours, ...sheet }, tasks: _tasks, ...rest }: Snapshot): string {
  return JSON.stringify({ ...rest, sheet });
}

/**
 * The same as `snapshotText`, written a part at a time where it is not known yet.
 *
 * @param turn waited for between two parts
 */
export async function snapshotTextInTurns(snapshot: Snapshot, turn: () => Promise<void>): Promise<string> {
  if (texts.has(snapshot)) return snapshotText(snapshot);
  const written = async (lists: readonly unknown[][]): Promise<string[]> => {
    const all: string[] = [];
    for (const some of lists) {
      await turn();
      all.push(JSON.stringify(some));
    }
    return all;
  };
  const parts: SnapshotParts = {
    rest: restText(snapshot),
    pours: await written(inSlices(snapshot.sheet.pours, POURS_AT_ONCE)),
    tasks: await written(inSlices(snapshot.tasks, TASKS_AT_ONCE)),
  };
  await turn();
  const text = textOf(parts);
  texts.set(snapshot, text);
  return text;
}

/**
 * What a run rests on from its parts, read one at a time. They are taken as they are: who wrote them has judged them.
 *
 * @param turn waited for between two parts
 */
export async function snapshotOfParts(parts: SnapshotParts, turn: () => Promise<void>): Promise<Snapshot> {
  const snapshot = JSON.parse(parts.rest) as Snapshot;
  snapshot.sheet.pours = [];
  snapshot.tasks = [];
  for (const list of parts.pours) {
    await turn();
    snapshot.sheet.pours.push(...(JSON.parse(list) as Sheet['pours']));
  }
  for (const list of parts.tasks) {
    await turn();
    snapshot.tasks.push(...(JSON.parse(list) as Snapshot['tasks']));
  }
  await turn();
  texts.set(snapshot, textOf(parts));
  return snapshot;
}

function textOf({ rest, pours, tasks }: SnapshotParts): string {
  // The sheet is written last, so that its object ends where the rest does.
  return `${rest.slice(0, -2)},"pours":${joined(pours)}},"tasks":${joined(tasks)}}`;
}

function joined(lists: readonly string[]): string {
  return `[${lists.map((list) => list.slice(1, -1)).join(',')}]`;
}
