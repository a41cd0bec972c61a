import { join } from 'node:path';
import Database from 'better-sqlite3';

/** The workshop, in its data folder. */
export const DATABASE_FILE = 'workshop.sqlite';

const LOCK_FILE = 'in-use.lock';

/** Another process serves the folder. */
export class FolderInUseError extends Error {
  /** @param {string} folder */
  constructor(folder) {
    super(
      `Idle Tallow is open on ${folder} already, perhaps in another window. Use that one or close it, or choose another folder with --data.`,
    );
    this.name = 'FolderInUseError';
  }
}

/** Locks that are held: a database that nobody names any more is closed by the garbage collector.
 *  @type {Set<Database.Database>} */
const HELD = new Set();

/**
 * Takes a data folder for one server. The system lets go of it when the process ends, however it ends: it is a lock of
 * a database without a table, of which nothing is ever written.
 *
 * @param {string} folder that is there
 * @returns {() => void} lets go of it
 * @throws {FolderInUseError}
 */
export function lockFolder(folder) {
  const lock = new Database(join(folder, LOCK_FILE), { timeout: 0 });
  try {
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    const code = error instanceof Database.SqliteError ? error.code : '';
    throw code === 'SQLITE_BUSY' ? new FolderInUseError(folder) : error;
  }
  HELD.add(lock);
  return () => {
    HELD.delete(lock);
    lock.close();
  };
}
