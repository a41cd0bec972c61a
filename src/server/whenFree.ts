import { setTimeout as after } from 'node:timers/promises';
import type Database from 'better-sqlite3';
import { databaseProblem } from './databaseProblem';

const ASKED_AGAIN_AFTER_MS = 50;
const LONGEST_MS = 5000;

/**
 * Waits until no other program writes to the file. Other requests are answered meanwhile: the thread is not held.
 *
 * @throws SqliteError SQLITE_BUSY when it stays held
 */
export async function whenFree(db: Database.Database, longestMs = LONGEST_MS): Promise<void> {
  const until = Date.now() + longestMs;
  for (;;) {
    try {
      db.exec('BEGIN IMMEDIATE');
      db.exec('ROLLBACK');
      return;
    } catch (error) {
      if (databaseProblem(error)?.code !== 'locked' || Date.now() >= until) throw error;
    }
    await after(ASKED_AGAIN_AFTER_MS);
  }
}
