import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';

/** Older steps of the database, each with a workshop that the product of its day has left. */
export const OLDER_STEPS = [1, 2, 3, 4, 5, 6, 7] as const;

/** Writes a workshop of an older step into a folder, as its file was then. */
export function writeOlderDatabase(folder: string, step: number): void {
  const db = new Database(join(folder, 'workshop.sqlite'));
  db.exec(readFileSync(`tests/fixtures/databases/step-${step}.sql`, 'utf8'));
  db.close();
}
