import { rmSync } from 'node:fs';
import { join } from 'node:path';
import type Database from 'better-sqlite3';
import { COPIES_FOLDER, type Copy, copiesIn, copyDatabase, dayCopyName } from '../db/copies/copyFolder';
import { daysToKeep } from '../db/copies/retention';
import {
  chooseSecondPlace,
  copyThere,
  type PlaceFault,
  placeFault,
  secondPlaceOf,
} from '../db/copies/secondPlace';
import { copyFiles } from '../db/files/fileStore';
import { compute } from './compute/threads';
import { invalidField } from './problem';

/** Often enough to begin a day's copy soon after it began, or after the first record was made. */
const LOOK_EVERY_MS = 15 * 60_000;

/** What the last daily copy came to. */
export interface CopyState {
  /** Of the newest daily copy; null where there is none. */
  lastDay: string | null;
  /** Why today's could not be made, in words of the system; null where it could. */
  fault: string | null;
  /** The second place of the user's choice; null where there is none. */
  second: { folder: string; lastDay: string | null; fault: string | null } | null;
}

/** Of a workshop, what its copies are made of. */
interface Copied {
  db: Database.Database;
  /** Null where nothing is kept. */
  folder: string | null;
  now(): string;
}

const FAULTS = new WeakMap<Copied, string>();
const SECOND_FAULTS = new WeakMap<Copied, string>();

export function copiesOf({ folder }: Copied): Copy[] {
  return folder === null ? [] : copiesIn(join(folder, COPIES_FOLDER));
}

export function copyState(workshop: Copied): CopyState {
  const lastDay = copiesOf(workshop).find(({ kind }) => kind === 'day')?.day ?? null;
  return { lastDay, fault: FAULTS.get(workshop) ?? null, second: secondState(workshop) };
}

function secondState(workshop: Copied): CopyState['second'] {
  const folder = workshop.folder === null ? null : secondPlaceOf(workshop.folder);
  if (workshop.folder === null || folder === null) return null;
  const missing = placeFault(workshop.folder, folder);
  return {
    folder,
    lastDay: (missing === null && dailyIn(folder)[0]?.day) || null,
    fault: missing === null ? (SECOND_FAULTS.get(workshop) ?? null) : PLACE_FAULTS[missing],
  };
}

const PLACE_FAULTS: Record<PlaceFault, string> = {
  'not-absolute': 'say where it is from the root on, such as /media/stick/tallow',
  'not-there': 'it is not there; put the stick in, or make the folder',
  'no-folder': 'it is a file',
  'not-writable': 'this account may not write there',
  'in-the-workshop': 'it is in the folder of the workshop, and would be lost with it',
};

/**
 * Chooses a second place for the daily copies, or none, and copies there what is kept.
 *
 * @throws Problem 422 naming why it can't be one
 */
export async function setSecondPlace(workshop: Copied, folder: string | null): Promise<CopyState> {
  if (workshop.folder === null) throw new RangeError('a workshop that is kept nowhere');
  const fault = folder === null ? null : placeFault(workshop.folder, folder);
  if (fault !== null) throw invalidField('folder', `can’t be used: ${PLACE_FAULTS[fault]}`);
  chooseSecondPlace(workshop.folder, folder);
  SECOND_FAULTS.delete(workshop);
  if (folder !== null) await copyToSecond(workshop);
  return copyState(workshop);
}

const dailyIn = (place: string) => copiesIn(place).filter(({ kind }) => kind === 'day');

/** Brings the second place up to the daily copies that are kept. A fault is kept to be told, and tried again. */
async function copyToSecond(workshop: Copied): Promise<void> {
  const place = workshop.folder === null ? null : secondPlaceOf(workshop.folder);
  if (workshop.folder === null || place === null) return;
  if (placeFault(workshop.folder, place) !== null) return;
  try {
    const there = new Set(dailyIn(place).map(({ day }) => day));
    for (const { day, path } of dailyIn(join(workshop.folder, COPIES_FOLDER)))
      if (!there.has(day)) await copyThere(path, place, check);
    await copyFiles(workshop.folder, place);
    keepOnly(place);
    SECOND_FAULTS.delete(workshop);
  } catch (error) {
    SECOND_FAULTS.set(workshop, error instanceof Error ? error.message : String(error));
  }
}

function keepOnly(place: string): void {
  const kept = daysToKeep(dailyIn(place).map(({ day }) => day));
  for (const { day, path } of dailyIn(place)) if (!kept.has(day)) rmSync(path);
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
    if (!dailyIn(place).some(({ day }) => day === today))
      await copyDatabase(db, join(place, dayCopyName(today)), check);
    keepOnly(place);
    FAULTS.delete(workshop);
    await copyToSecond(workshop);
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
