import Database from 'better-sqlite3';
import { migrate } from './migrate';
import { MIGRATIONS } from './migrations/all';

/**
 * Opens the workshop's one file, made when it is not there, and brings it up to date.
 *
 * `synchronous = FULL`: what has been answered as saved is on the disk, also when the power goes.
 */
export function openDatabase(path: string): Database.Database {
  const db = new Database(path);
  try {
    db.pragma('journal_mode = WAL');
    db.pragma('synchronous = FULL');
    db.pragma('foreign_keys = ON');
    db.pragma('busy_timeout = 5000');
    // Letters of any language without regard to their case: SQLite's own lower() knows those of English.
    db.function('folded', { deterministic: true }, (text) => String(text).toLocaleLowerCase('und'));
    migrate(db, MIGRATIONS);
  } catch (error) {
    db.close();
    throw error;
  }
  return db;
}
