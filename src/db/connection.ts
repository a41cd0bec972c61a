import Database from 'better-sqlite3';
import { folded } from './folded';
import { migrate } from './migrate';
import { MIGRATIONS } from './migrations/all';

/** The thread stands still as long as it waits; who may wait longer asks again. */
const LONGEST_WAIT_MS = 20;

/**
 * Opens the workshop's one file, made when it is not there, and brings it up to date.
 *
 * @param keepsCopies false for a file that is a copy itself: none is made of it before it is brought up to date
 *
 * `synchronous = FULL`: what has been answered as saved is on the disk, also when the power goes.
 */
export function openDatabase(path: string, keepsCopies = true): Database.Database {
  const db = new Database(path);
  try {
    db.pragma('journal_mode = WAL');
    db.pragma('synchronous = FULL');
    db.pragma('foreign_keys = ON');
    db.pragma(`busy_timeout = ${LONGEST_WAIT_MS}`);
    db.function('folded', { deterministic: true }, (text) => folded(String(text)));
    migrate(db, MIGRATIONS, keepsCopies);
  } catch (error) {
    db.close();
    throw error;
  }
  return db;
}
