import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream, rmSync } from 'node:fs';
import { open } from 'node:fs/promises';
import { dirname } from 'node:path';
import { pipeline } from 'node:stream/promises';
import type Database from 'better-sqlite3';
import yauzl from 'yauzl';
import { ZipFile } from 'yazl';
import { z } from '../../core/zod';
import { copyFiles, filesIn, hashOfBytes, pathOfFile, putFile } from '../files/fileStore';
import { copyDatabase } from './copyFolder';
import { NoWorkshopError, type WhatItHolds, whatItHolds } from './whatItHolds';

/** The whole workshop as one file: a zip with the database, what it holds, and its fingerprint. */
const FORMAT = 'idle-tallow-workshop';
const DATABASE = 'workshop.sqlite';
const ABOUT = 'about.json';
/** Photographs and documents, each under its hash. */
const FILES = 'files/';
const LARGEST_ABOUT = 10_000;
const LARGEST_DATABASE = 8_000_000_000;
const LARGEST_FILE = 50_000_000;

const aboutSchema = z.object({
  format: z.literal(FORMAT),
  version: z.literal(1),
  /** When the copy was made, ISO 8601. */
  at: z.string(),
  /** Of the database, SHA-256, hexadecimal. */
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
});

const README = `A whole workshop of Idle Tallow: bring it back with “Bring back a copy”, or with npm run restore -- FILE.
${DATABASE} is an SQLite 3 database, which other programs can read too. ${FILES} holds photographs and documents, each
under the SHA-256 of its bytes; the table “files” says which is what.
`;

/**
 * A database that may be in use as one file, a stream of a zip.
 *
 * @param copy a path for the copy it is made of, which goes with the end of the stream
 * @param at when it is made, ISO 8601
 * @param check why a file is not whole
 * @throws Error when it can't be copied
 */
export async function oneFileOf(
  db: Database.Database,
  copy: string,
  at: string,
  check: (path: string) => Promise<string | null>,
): Promise<{ stream: NodeJS.ReadableStream; holds: WhatItHolds }> {
  const remove = () => rmSync(copy, { force: true });
  try {
    await copyDatabase(db, copy, check);
    const holds = whatItHolds(copy);
    const stream = await zipOf(copy, at, holds, dirname(db.name));
    // Who reads it may go away: the copy goes, however the stream ends.
    for (const end of ['close', 'end', 'error']) stream.once(end, remove);
    return { stream, holds };
  } catch (error) {
    remove();
    throw error;
  }
}

/** Why a zip holds a workshop: as one file, or in open formats; with the moment it was made. Null for anything else. */
export async function aboutZip(path: string): Promise<{ format: string; at: string } | null> {
  if (await isDatabase(path)) return null;
  const zip = await yauzl.openPromise(path, { lazyEntries: true }).catch(() => null);
  try {
    for await (const entry of zip?.eachEntry() ?? [])
      if (entry.fileName === ABOUT && zip && entry.uncompressedSize <= LARGEST_ABOUT) {
        const text = await textOf(await zip.openReadStreamPromise(entry));
        const read = z.object({ format: z.string(), at: z.iso.datetime() }).safeParse(parsed(text));
        return read.success ? read.data : null;
      }
    return null;
  } catch {
    return null;
  } finally {
    zip?.close();
  }
}

async function zipOf(databasePath: string, at: string, holds: WhatItHolds, folder: string) {
  const about = { format: FORMAT, version: 1, at, sha256: await sha256Of(databasePath), holds };
  const zip = new ZipFile();
  zip.addBuffer(Buffer.from(`${JSON.stringify(about, null, 2)}\n`), ABOUT);
  zip.addBuffer(Buffer.from(README), 'README.txt');
  zip.addFile(databasePath, DATABASE);
  addFilesTo(zip, folder);
  zip.end();
  return zip.outputStream;
}

/** Puts the files of a workshop into a zip: photographs and PDF do not get smaller by it. */
export function addFilesTo(zip: ZipFile, folder: string): void {
  for (const hash of filesIn(folder))
    zip.addFile(pathOfFile(folder, hash), `${FILES}${hash}`, { compress: false });
}

/**
 * Keeps a file that stands in a zip. What is in it must be what its name says; in a workshop that does not name it, it is
 * only there.
 *
 * @returns whether the entry is a file
 * @throws NoWorkshopError
 */
export async function keepFileOf(zip: yauzl.ZipFile, entry: yauzl.Entry, folder: string): Promise<boolean> {
  const hash = entry.fileName.startsWith(FILES) ? entry.fileName.slice(FILES.length) : null;
  if (hash === null) return false;
  if (entry.uncompressedSize > LARGEST_FILE) throw new NoWorkshopError(`${entry.fileName} is too large`);
  const parts: Buffer[] = [];
  for await (const part of await zip.openReadStreamPromise(entry)) parts.push(part as Buffer);
  const bytes = Buffer.concat(parts);
  if ((await hashOfBytes(bytes)) !== hash)
    throw new NoWorkshopError(`${entry.fileName} is another than it was`);
  await putFile(folder, bytes);
  return true;
}

/**
 * Takes the database out of one file. A bare database is taken as it is.
 *
 * @param to where the database is put, in the folder of the workshop: its photographs and documents are put there too
 * @returns when the copy was made; null where the file does not say
 * @throws NoWorkshopError where it holds none, or not the one that its fingerprint is of
 */
export async function databaseFrom(path: string, to: string): Promise<string | null> {
  if (await isDatabase(path)) {
    await pipeline(createReadStream(path), createWriteStream(to));
    // A daily copy in a second place has its files beside it.
    await copyFiles(dirname(path), dirname(to));
    return null;
  }
  const zip = await yauzl.openPromise(path, { lazyEntries: true }).catch(() => {
    throw new NoWorkshopError('it is neither a copy of a workshop nor a database');
  });
  try {
    let about: z.infer<typeof aboutSchema> | null = null;
    let hasDatabase = false;
    for await (const entry of zip.eachEntry()) {
      if (entry.fileName === ABOUT && entry.uncompressedSize <= LARGEST_ABOUT) {
        const read = aboutSchema.safeParse(parsed(await textOf(await zip.openReadStreamPromise(entry))));
        about = read.success ? read.data : null;
      }
      if (await keepFileOf(zip, entry, dirname(to))) continue;
      if (entry.fileName === DATABASE && entry.uncompressedSize <= LARGEST_DATABASE) {
        await pipeline(await zip.openReadStreamPromise(entry), createWriteStream(to));
        hasDatabase = true;
      }
    }
    if (!about || !hasDatabase) throw new NoWorkshopError('it is no copy of a workshop');
    if ((await sha256Of(to)) !== about.sha256)
      throw new NoWorkshopError('it is not whole: its fingerprint is another');
    return about.at;
  } catch (error) {
    if (error instanceof NoWorkshopError) throw error;
    throw new NoWorkshopError(`it is not whole: ${error instanceof Error ? error.message : String(error)}`);
  } finally {
    zip.close();
  }
}

const MAGIC = 'SQLite format 3\0';

async function isDatabase(path: string): Promise<boolean> {
  const handle = await open(path, 'r');
  try {
    const { buffer } = await handle.read(Buffer.alloc(MAGIC.length), 0, MAGIC.length, 0);
    return buffer.toString('latin1') === MAGIC;
  } finally {
    await handle.close();
  }
}

async function sha256Of(path: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const piece of createReadStream(path)) hash.update(piece as Buffer);
  return hash.digest('hex');
}

async function textOf(stream: NodeJS.ReadableStream): Promise<string> {
  let text = '';
  for await (const piece of stream) text += String(piece);
  return text;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
