import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type Database from 'better-sqlite3';
import { COPIES_FOLDER, copyDatabaseNow, stepCopyName } from './copies/copyFolder';

export interface Migration {
  /** Counted from 1 without gaps; kept in the file's user_version. */
  number: number;
  sql: string;
}

/** The file was written by a newer version of the product; it is left untouched. */
export class NewerDatabaseError extends Error {
  constructor(found: number, known: number) {
    super(
      `The workshop's database is at step ${found}, and this version of Idle Tallow knows ${known}. Start the newer version that wrote it; nothing was changed.`,
    );
    this.name = 'NewerDatabaseError';
  }
}

/**
 * Brings a database to the newest step, one transaction a migration, with a copy of the file kept before each.
 *
 * @throws NewerDatabaseError when the file is ahead of the known migrations
 */
export function migrate(db: Database.Database, migrations: readonly Migration[], keepsCopies = true): void {
  const found = db.pragma('user_version', { simple: true }) as number;
  const newest = migrations.at(-1)?.number ?? 0;
  if (found > newest) throw new NewerDatabaseError(found, newest);
  for (const migration of migrations.filter(({ number }) => number > found)) {
    // A file that was made just now holds nothing to be kept.
    if (found > 0 && keepsCopies) keepCopy(db, migration.number);
    db.transaction(() => {
      db.exec(migration.sql);
      db.pragma(`user_version = ${migration.number}`);
    }).immediate();
  }
}

/** A whole copy among the copies; one that is already there is from an earlier try and is kept. */
function keepCopy(db: Database.Database, before: number): void {
  if (db.memory) return;
  const copy = join(dirname(db.name), COPIES_FOLDER, stepCopyName(before));
  if (!existsSync(copy)) copyDatabaseNow(db, copy);
}
