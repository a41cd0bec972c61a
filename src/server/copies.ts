import { rmSync } from 'node:fs';
import { join } from 'node:path';
import type Database from 'better-sqlite3';
import { COPIES_FOLDER, type Copy, copiesIn, copyDatabase, dayCopyName } from '../db/copies/copyFolder';
import { daysToKeep } from '../db/copies/retention';
import { compute } from './compute/threads';

/** Often enough to begin a day's copy soon after it began, or after the first record was made. */
const LOOK_EVERY_MS = 15 * 60_000;

/** What the last daily copy came to. */
export interface CopyState {
  /** Of the newest daily copy; null where there is none. */
  lastDay: string | null;
  /** Why today's could not be made, in words of the system; null where it could. */
  fault: string | null;
}

/** Of a workshop, what its copies are made of. */
interface Copied {
  db: Database.Database;
  /** Null where nothing is kept. */
  folder: string | null;
  now(): string;
}

const FAULTS = new WeakMap<Copied, string>();

export function copiesOf({ folder }: Copied): Copy[] {
  return folder === null ? [] : copiesIn(join(folder, COPIES_FOLDER));
}

export function copyState(workshop: Copied): CopyState {
  const lastDay = copiesOf(workshop).find(({ kind }) => kind === 'day')?.day ?? null;
  return { lastDay, fault: FAULTS.get(workshop) ?? null };
}

/**
 * Copies the workshop once a day for as long as the process lives. A fault is kept to be told, and tried again.
 *
 * @returns stops it
 */
export function copiesByDay(workshop: Copied): () => void {
  const look = () => void copyOfToday(workshop);
  look();
  const timer = setInterval(look, LOOK_EVERY_MS).unref();
  return () => clearInterval(timer);
}

/**
 * Makes today's copy where there is none, and throws away those that are no longer kept.
 *
 * @returns whether there is one of today
 */
export async function copyOfToday(workshop: Copied): Promise<boolean> {
  const { db, folder } = workshop;
  if (folder === null || !holdsAnything(workshop)) return false;
  const place = join(folder, COPIES_FOLDER);
  const today = workshop.now().slice(0, 10);
  try {
    const days = () => copiesIn(place).filter(({ kind }) => kind === 'day');
    if (!days().some(({ day }) => day === today))
      await copyDatabase(db, join(place, dayCopyName(today)), check);
    const kept = daysToKeep(days().map(({ day }) => day));
    for (const { day, path } of days()) if (!kept.has(day)) rmSync(path);
    FAULTS.delete(workshop);
    return true;
  } catch (error) {
    FAULTS.set(workshop, error instanceof Error ? error.message : String(error));
    return false;
  }
}

/** The copy holds the pages of the workshop as they are, so that looking through it looks through them. */
const check = (path: string) => compute('fault', { path }, 'ahead');

/** A workshop that nobody has put anything into makes no copies of nothing. */
function holdsAnything({ db }: Copied): boolean {
  const tables = ['materials', 'molds', 'plans', 'runs'];
  const any = tables.map((table) => `EXISTS (SELECT 1 FROM ${table})`).join(' OR ');
  return db.prepare<[], { any: 0 | 1 }>(`SELECT ${any} AS any`).get()?.any === 1;
}
