import { progress, tellInTurns } from '../core/run/progress';
import { snapshotOfParts } from '../db/snapshotText';
import { orNull } from './broken';
import { compute } from './compute/threads';
import type { Workshop } from './openWorkshop';
import { turn } from './turn';

/** By run. */
const underWay = new Map<string, Promise<void>>();

/**
 * Reads runs that are long and were not read yet: judged in a thread, taken over a part at a time, and told once. Whoever
 * asks for one of them then finds it. One that can't be read is told where it is asked for.
 */
export async function runsReady(workshop: Workshop, ids: readonly string[]): Promise<void> {
  for (const id of ids) {
    if (workshop.folder === null || !workshop.runs.isLongUnread(id)) continue;
    const reading = underWay.get(id) ?? ready(workshop, id, workshop.folder);
    underWay.set(id, reading);
    try {
      await reading;
    } finally {
      underWay.delete(id);
    }
  }
}

async function ready(workshop: Workshop, id: string, folder: string): Promise<void> {
  // Where the threads are too busy it is read as any other.
  const parts = await compute('snapshotParts', { folder, id }).catch(() => null);
  if (!parts) return;
  const snapshot = await snapshotOfParts(parts, turn);
  workshop.runs.keepRead(id, snapshot);
  await turn();
  const run = orNull(() => workshop.runs.find(id));
  if (!run) return;
  await tellInTurns(run, turn);
  await turn();
  progress(run);
}
