import { existsSync, renameSync, rmSync } from 'node:fs';
import { basename, join } from 'node:path';
import Database from 'better-sqlite3';
import { DATABASE_FILE } from '../dataFolder.mjs';
import { forgetDevices } from '../devices.mjs';
import { makeFolder } from '../makeFolder';
import { COPIES_FOLDER, copyDatabaseNow, faultOf } from './copyFolder';

/**
 * Puts a whole database in the place of a workshop's, which nobody may have open. What is there now is kept among the
 * copies first; where it is damaged, as it is.
 *
 * @param from in the workshop's folder; it is moved
 * @param at ISO 8601, for the name of what is kept
 * @returns the name of what was there; null where there was nothing
 */
export function bringBack(folder: string, from: string, at: string): string | null {
  const path = join(folder, DATABASE_FILE);
  const kept = keepAside(folder, path, at);
  for (const ending of ['-wal', '-shm']) rmSync(path + ending, { force: true });
  renameSync(from, path);
  // Who was let in by the workshop that was here is not let in by another.
  forgetDevices(folder);
  return kept;
}

function keepAside(folder: string, path: string, at: string): string | null {
  if (!existsSync(path)) return null;
  const place = join(folder, COPIES_FOLDER);
  makeFolder(place);
  const aside = join(place, `before-bringing-back-${at.replace(/[:.]/g, '-')}.sqlite`);
  if (faultOf(path) === null) {
    const db = new Database(path);
    try {
      copyDatabaseNow(db, aside);
    } finally {
      db.close();
    }
    return basename(aside);
  }
  const damaged = aside.replace(/\.sqlite$/, '.damaged');
  for (const ending of ['', '-wal', '-shm'])
    if (existsSync(path + ending)) renameSync(path + ending, damaged + ending);
  return basename(damaged);
}
