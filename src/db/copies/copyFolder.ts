import { existsSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import Database from 'better-sqlite3';
import { makeFolder } from '../makeFolder';
import { writeWhole } from '../writeWhole';

/** Beside the database. */
export const COPIES_FOLDER = 'backups';

/** A whole copy of the workshop's database. */
export interface Copy {
  path: string;
  /** Of a day, or kept before a migration or before another copy was brought back. */
  kind: 'day' | 'step' | 'before';
  /** ISO 8601: the day it is of, or on which it was written. */
  day: string;
  bytes: number;
}

const DAY = /^workshop-(\d{4}-\d\d-\d\d)\.sqlite$/;
const STEP = /^before-step-\d{4}\.sqlite$/;
const BEFORE = /^before-bringing-back-.*\.sqlite$/;

export const dayCopyName = (day: string): string => `workshop-${day}.sqlite`;
export const stepCopyName = (number: number): string =>
  `before-step-${String(number).padStart(4, '0')}.sqlite`;

/** What is in a folder of copies, the newest first; nothing where there is no folder. */
export function copiesIn(folder: string): Copy[] {
  if (!existsSync(folder) || !statSync(folder).isDirectory()) return [];
  return readdirSync(folder)
    .flatMap((name): Copy[] => {
      const kind = DAY.test(name) ? 'day' : STEP.test(name) ? 'step' : BEFORE.test(name) ? 'before' : null;
      if (!kind) return [];
      const path = join(folder, name);
      const { size, mtime } = statSync(path);
      return [{ path, kind, day: DAY.exec(name)?.[1] ?? mtime.toISOString().slice(0, 10), bytes: size }];
    })
    .sort((a, b) => (a.day === b.day ? a.path.localeCompare(b.path) : a.day < b.day ? 1 : -1));
}

/**
 * Why a database file is not whole; null where it is.
 *
 * @param thorough looks at what indexes hold, too, and takes several times as long
 */
export function faultOf(path: string, thorough = false): string | null {
  let db: Database.Database | null = null;
  try {
    db = new Database(path, { readonly: true, fileMustExist: true });
    const found = db.pragma(thorough ? 'integrity_check(1)' : 'quick_check(1)', { simple: true });
    return found === 'ok' ? null : inOneLine(String(found));
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  } finally {
    db?.close();
  }
}

const inOneLine = (text: string) => text.replace('*** in database main ***', '').replace(/\s+/g, ' ').trim();

/**
 * Copies a database while it is in use, by SQLite's online backup: what was committed before is in it, also what stands
 * in the write-ahead log only. The copy has its name only once it is whole and on the disk.
 *
 * @param check why a file is not whole
 * @throws Error when it can't be written or is not whole
 */
export async function copyDatabase(
  db: Database.Database,
  to: string,
  check: (path: string) => Promise<string | null>,
): Promise<void> {
  makeFolder(dirname(to));
  await writeWhole(to, async (part) => {
    await db.backup(part);
    const fault = alone(part) ?? (await check(part));
    if (fault !== null) throw notWhole(to, fault);
  });
}

/** A copy is one file, with no log beside it. Answers why that can't be made of it; null where it can. */
function alone(path: string): string | null {
  try {
    const copy = new Database(path);
    copy.pragma('journal_mode = DELETE');
    copy.close();
    return null;
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
}

/** The same at once, before anything else may happen: the thread waits for it. */
export function copyDatabaseNow(db: Database.Database, to: string): void {
  makeFolder(dirname(to));
  const part = `${to}.part`;
  rmSync(part, { force: true });
  try {
    db.prepare('VACUUM INTO ?').run(part);
    const fault = faultOf(part);
    if (fault !== null) throw notWhole(to, fault);
    renameSync(part, to);
  } finally {
    rmSync(part, { force: true });
  }
}

function notWhole(to: string, fault: string): Error {
  return new Error(`the copy ${basename(to)} is not whole: ${fault}`);
}
