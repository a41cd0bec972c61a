import type { Snapshot } from '../core/run/snapshot';

/** What a run rests on as JSON, in parts that are each read or written within some milliseconds. */
export interface SnapshotParts {
  /** An object without its tasks. */
  rest: string;
  /** A list each. */
  tasks: string[];
}

const TASKS_AT_ONCE = 1000;
const texts = new WeakMap<Snapshot, string>();

/** What a run rests on, as JSON. It is the most of a run and stays as it is, so that its text is written once. */
export function snapshotText(snapshot: Snapshot): string {
  const text = texts.get(snapshot) ?? textOf(partsOfSnapshot(snapshot));
  texts.set(snapshot, text);
  return text;
}

export function partsOfSnapshot({ tasks, ...rest }: Snapshot): SnapshotParts {
  return { rest: JSON.stringify(rest), tasks: slices(tasks).map((some) => JSON.stringify(some)) };
}

/**
 * The same as `snapshotText`, written a part at a time where it is not known yet.
 *
 * @param turn waited for between two parts
 */
export async function snapshotTextInTurns(snapshot: Snapshot, turn: () => Promise<void>): Promise<string> {
  if (texts.has(snapshot)) return snapshotText(snapshot);
  const { tasks, ...rest } = snapshot;
  const parts: SnapshotParts = { rest: JSON.stringify(rest), tasks: [] };
  for (const some of slices(tasks)) {
    if (parts.tasks.length > 0) await turn();
    parts.tasks.push(JSON.stringify(some));
  }
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
  const snapshot: Snapshot = { ...(JSON.parse(parts.rest) as Omit<Snapshot, 'tasks'>), tasks: [] };
  for (const list of parts.tasks) {
    await turn();
    snapshot.tasks.push(...(JSON.parse(list) as Snapshot['tasks']));
  }
  await turn();
  texts.set(snapshot, textOf(parts));
  return snapshot;
}

function textOf({ rest, tasks }: SnapshotParts): string {
  return `${rest.slice(0, -1)},"tasks":[${tasks.map((list) => list.slice(1, -1)).join(',')}]}`;
}

function slices(tasks: Snapshot['tasks']): Snapshot['tasks'][] {
  const all: Snapshot['tasks'][] = [];
  for (let from = 0; from < tasks.length; from += TASKS_AT_ONCE)
    all.push(tasks.slice(from, from + TASKS_AT_ONCE));
  return all;
}
