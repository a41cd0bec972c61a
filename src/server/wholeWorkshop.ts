import { createReadStream, createWriteStream, existsSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { isDeepStrictEqual } from 'node:util';
import { openDatabase } from '../db/connection';
import { bringBack } from '../db/copies/bringBack';
import { copyDatabase } from '../db/copies/copyFolder';
import { aboutZip, databaseFrom, oneFileOf } from '../db/copies/oneFile';
import { NoWorkshopError, type WhatItHolds, whatItHolds } from '../db/copies/whatItHolds';
import { makeFolder } from '../db/makeFolder';
import { NewerDatabaseError } from '../db/migrate';
import { MIGRATIONS } from '../db/migrations/all';
import type { Choices, Met, MetPlan } from '../formats/meeting';
import { OPEN_FORMAT } from '../formats/openFormats';
import { compute } from './compute/threads';
import { importPlan } from './importPlan';
import { meetingsOf, recordsHere } from './meeting';
import { tablesOf } from './openWorkshop';
import { planFileOf } from './planFile';
import { findPlan } from './plans';
import { Problem } from './problem';
import { reopened, type Workshop, workshop } from './workshop';

/** A copy that was looked into, and waits to be brought back. */
export interface LookedInto {
  /** Where its database waits. */
  path: string;
  /** When it was made, ISO 8601; null where it does not say. */
  at: string | null;
  holds: WhatItHolds;
}

/** The whole workshop as one file, as it is now. */
export async function saveAll({ db, folder, now, newId }: Workshop): Promise<NodeJS.ReadableStream> {
  if (folder === null) throw new RangeError('a workshop that is kept nowhere');
  const { stream } = await oneFileOf(db, join(folder, `saving-${newId()}.tmp`), now(), check);
  return stream;
}

/** The whole workshop in open formats, as it is now. */
export async function saveOpen({ db, folder, now, newId }: Workshop): Promise<NodeJS.ReadableStream> {
  if (folder === null) throw new RangeError('a workshop that is kept nowhere');
  const id = newId();
  const [path, to] = [join(folder, `saving-${id}.tmp`), join(folder, `saving-${id}-open.tmp`)];
  const remove = (file: string) => {
    for (const ending of ['', '-wal', '-shm']) rmSync(file + ending, { force: true });
  };
  try {
    await copyDatabase(db, path, check);
    await compute('writeOpen', { path, to, at: now() }, 'ahead');
    const stream = createReadStream(to);
    stream.once('close', () => remove(to));
    return stream;
  } catch (error) {
    remove(to);
    throw error;
  } finally {
    remove(path);
  }
}

const check = (path: string) => compute('fault', { path });

/**
 * Looks into a copy: it is whole, a workshop's, and of no newer version. Nothing is changed.
 *
 * @param folder of the workshop, where its database waits under its id
 * @throws Problem 422 with the reason
 */
export async function lookInto(folder: string, file: string, id: string): Promise<LookedInto> {
  makeFolder(folder);
  for (const name of readdirSync(folder)) if (WAITING.test(name)) rmSync(join(folder, name));
  const path = waitingPath(folder, id);
  try {
    const about = await aboutZip(file);
    const at = about?.format === OPEN_FORMAT ? about.at : await databaseFrom(file, path);
    if (about?.format === OPEN_FORMAT) {
      const why = await compute('readOpen', { path: file, to: path }, 'ahead');
      if (why !== null) throw new NoWorkshopError(why);
    }
    const fault = await check(path);
    if (fault !== null) throw new NoWorkshopError(`it is damaged (${fault})`);
    const holds = whatItHolds(path);
    const newest = MIGRATIONS.at(-1)?.number ?? 0;
    if (holds.step > newest) throw new NewerDatabaseError(holds.step, newest);
    return { path, at, holds };
  } catch (error) {
    rmSync(path, { force: true });
    if (error instanceof NewerDatabaseError) throw new Problem(422, 'newer-database', error.message);
    if (error instanceof NoWorkshopError)
      throw new Problem(
        422,
        'no-copy',
        `This file can’t be brought back: ${error.message}. Nothing was changed.`,
      );
    throw error;
  }
}

const WAITING = /^waiting-[0-9a-f-]{36}\.sqlite(-wal|-shm)?$/;

function waitingPath(folder: string, id: string): string {
  return join(folder, `waiting-${id}.sqlite`);
}

/**
 * Puts the copy that was looked into last in the place of the workshop that is open.
 *
 * @returns the name of the copy in which what was there is kept
 * @throws Problem 404 where it does not wait any more
 */
export function bringBackLookedInto(id: string): string | null {
  const { folder, now } = workshop();
  if (folder === null || !existsSync(waitingPath(folder, id))) throw copyGone();
  return reopened((place) => bringBack(place, waitingPath(place, id), now()));
}

/** The plans of the copy that was looked into last, each with what it meets here. */
export function plansInCopy(open: Workshop, id: string): MetPlan[] {
  return withCopy(open, id, (copy) =>
    copy.plans.all().map((there): MetPlan => {
      const read = open.plans.newest(there.id);
      const here = read?.success ? read.data : null;
      const { id: planId, changedAt, plan } = there;
      const verdict = !here
        ? 'new'
        : isDeepStrictEqual(here.plan, plan)
          ? 'same'
          : here.changedAt < changedAt
            ? 'newer'
            : 'older';
      return { id: planId, name: plan.name, changedAt, verdict };
    }),
  );
}

/** What the molds and materials of some of its plans meet here, each once. */
export function meetingsInCopy(open: Workshop, id: string, planIds: readonly string[]): Met[] {
  const files = withCopy(open, id, (copy) =>
    planIds.map((planId) => planFileOf(copy, findPlan(copy, planId).plan)),
  );
  const here = recordsHere(open);
  const met = files.flatMap((file) => meetingsOf(here, file));
  return [...new Map(met.map((each) => [`${each.kind} ${each.id}`, each])).values()];
}

/**
 * Takes some plans of a copy in, with what they need: all of them, or none.
 *
 * @param overwrite ids of plans that become what they are in the copy; the others come in beside what is here
 * @returns how many came in
 */
export function takePlansOfCopy(
  open: Workshop,
  id: string,
  planIds: readonly string[],
  overwrite: ReadonlySet<string>,
  choices: Choices,
): number {
  const files = withCopy(open, id, (copy) =>
    planIds.map((planId) => ({ planId, file: planFileOf(copy, findPlan(copy, planId).plan) })),
  );
  const take = open.db.transaction(() => {
    for (const { planId, file } of files) {
      const read = overwrite.has(planId) ? open.plans.newest(planId) : undefined;
      importPlan(open, file, choices, read?.success ? read.data : undefined);
    }
  });
  take.immediate();
  return files.length;
}

function withCopy<Answer>(open: Workshop, id: string, work: (copy: Workshop) => Answer): Answer {
  const { folder } = open;
  if (folder === null || !existsSync(waitingPath(folder, id))) throw copyGone();
  const db = openDatabase(waitingPath(folder, id), false);
  try {
    return work(tablesOf(db, null));
  } finally {
    // It may be brought back as a file of its own yet.
    db.pragma('journal_mode = DELETE');
    db.close();
  }
}

function copyGone(): Problem {
  return new Problem(
    404,
    'copy-gone',
    'This copy waits no more: another was looked into since, or it was brought back already. Look into it again. Nothing was changed.',
  );
}

const LARGEST_RECEIVED = 4_000_000_000;

/**
 * A file that is sent, as it comes.
 *
 * @throws Problem 413
 */
export async function receivedFile({ folder, newId }: Workshop, { body }: Request) {
  if (folder === null) throw new RangeError('a workshop that is kept nowhere');
  const path = join(folder, `received-${newId()}.tmp`);
  const remove = () => rmSync(path, { force: true });
  let bytes = 0;
  try {
    await pipeline(
      Readable.fromWeb((body ?? new ReadableStream()) as Parameters<typeof Readable.fromWeb>[0]),
      async function* (pieces: AsyncIterable<Uint8Array>) {
        for await (const piece of pieces) {
          bytes += piece.byteLength;
          if (bytes > LARGEST_RECEIVED)
            throw new Problem(413, 'too-large', 'The file is over 4 GB. Use npm run restore for it.');
          yield piece;
        }
      },
      createWriteStream(path),
    );
  } catch (error) {
    remove();
    throw error;
  }
  return { path, remove };
}
