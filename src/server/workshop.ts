import { accessSync, constants } from 'node:fs';
import { resolve } from 'node:path';
import { progress } from '../core/run/progress';
import { FolderInUseError, lockFolder } from '../db/dataFolder.mjs';
import { makeFolder } from '../db/makeFolder';
import { NewerDatabaseError } from '../db/migrate';
import { snapshotText } from '../db/snapshotText';
import { copiesByDay } from './copies';
import { databaseProblem } from './databaseProblem';
import { openWorkshop, type Workshop } from './openWorkshop';
import { Problem } from './problem';
import { runsReady } from './runsReady';
import { indexInBackground } from './search/indexRuns';

export { openWorkshop, type Workshop };

/** How long a deleted plan can be brought back. */
export const DELETED_KEPT_DAYS = 30;
const MS_PER_DAY = 86_400_000;

let opened: Workshop | undefined;
let stopCopies = () => {};
let stopIndexing = () => {};

/**
 * The workshop this process serves, opened at its first use and closed when the process ends. No other process may
 * serve its folder.
 *
 * @throws Problem 503 in one sentence when the folder or the file can't be used
 */
export function workshop(): Workshop {
  if (opened) return opened;
  const folder = resolve(process.env.TALLOW_DATA ?? 'data/workshop');
  let letGo: (() => void) | null = null;
  try {
    makeFolder(folder);
    accessSync(folder, constants.W_OK);
    letGo = lockFolder(folder);
    opened = openWorkshop(folder);
  } catch (error) {
    letGo?.();
    if (error instanceof NewerDatabaseError) throw new Problem(503, 'newer-database', error.message);
    if (error instanceof FolderInUseError) throw new Problem(503, 'folder-in-use', error.message);
    const known = databaseProblem(error);
    if (known) throw known;
    const why = error instanceof Error ? error.message : String(error);
    throw new Problem(
      503,
      'data-folder',
      `The data folder can't be used: ${why}. Choose another with --data.`,
    );
  }
  const longAgo = Date.parse(opened.now()) - DELETED_KEPT_DAYS * MS_PER_DAY;
  opened.plans.forgetDeleted(new Date(longAgo).toISOString());
  process.once('exit', () => opened?.db.close());
  readAhead(opened);
  // What is not ready then is read where it is asked for.
  runsReady(opened, opened.runs.longOnRack()).catch(() => {});
  stopCopies = copiesByDay(opened);
  stopIndexing = indexInBackground(opened);
  return opened;
}

/** Reads what most pages ask for before anybody waits: a record is judged when it is read first, and a run is told and written down. */
function readAhead({ materials, molds, lots, runs }: Workshop): void {
  try {
    materials.all();
    molds.all();
    lots.stock();
    for (const run of runs.open().items) {
      progress(run);
      snapshotText(run.snapshot);
    }
  } catch {
    // What can't be read is told where it is asked for.
  }
}

/**
 * Closes the workshop, lets another be put in its place, and opens that one.
 *
 * @throws what `put` throws; the workshop is open again then, as it was
 */
export function reopened<Answer>(put: (folder: string) => Answer): Answer {
  const { db, folder } = workshop();
  if (folder === null) throw new RangeError('a workshop that is kept nowhere');
  stopCopies();
  stopIndexing();
  db.close();
  try {
    return put(folder);
  } finally {
    opened = openWorkshop(folder);
    stopCopies = copiesByDay(opened);
    stopIndexing = indexInBackground(opened);
  }
}
