import { webcrypto } from 'node:crypto';
import { existsSync, readdirSync } from 'node:fs';
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { makeFolder } from '../makeFolder';
import { writeWhole } from '../writeWhole';

/** Beside the database: each file under the hash of what is in it, so that it is never changed. */
export const FILES_FOLDER = 'files';

/** By path: the same may be sent twice at one time. */
const UNDER_WAY = new Map<string, Promise<void>>();

const NAME = /^[0-9a-f]{64}$/;

/** SHA-256, worked out beside the thread that asks: of the largest file it takes some 20 ms and more. */
export async function hashOfBytes(bytes: Uint8Array): Promise<string> {
  return Buffer.from(await webcrypto.subtle.digest('SHA-256', bytes)).toString('hex');
}

export function pathOfFile(folder: string, hash: string): string {
  if (!NAME.test(hash)) throw new RangeError('not the hash of a file');
  return join(folder, FILES_FOLDER, hash);
}

/**
 * Keeps bytes under their hash. They are on the disk once it is answered; what is there already stays. Others are served
 * meanwhile.
 *
 * @returns the hash
 */
export async function putFile(folder: string, bytes: Uint8Array): Promise<string> {
  const hash = await hashOfBytes(bytes);
  const path = pathOfFile(folder, hash);
  if (existsSync(path)) return hash;
  makeFolder(join(folder, FILES_FOLDER));
  const writing = UNDER_WAY.get(path) ?? writeWhole(path, (part) => writeFile(part, bytes));
  UNDER_WAY.set(path, writing);
  try {
    await writing;
  } finally {
    UNDER_WAY.delete(path);
  }
  return hash;
}

/** The bytes of a file; null where they are not there, or are others. */
export async function fileBytes(folder: string, hash: string): Promise<Buffer<ArrayBuffer> | null> {
  try {
    const bytes = await readFile(pathOfFile(folder, hash));
    return (await hashOfBytes(bytes)) === hash ? bytes : null;
  } catch {
    return null;
  }
}

/** Hashes of the files that are there. */
export function filesIn(folder: string): string[] {
  const place = join(folder, FILES_FOLDER);
  return existsSync(place) ? readdirSync(place).filter((name) => NAME.test(name)) : [];
}

/**
 * Puts the files of one folder into another, those that are there already left out. One that is not whole is left. Others
 * are served meanwhile.
 */
export async function copyFiles(from: string, to: string): Promise<void> {
  const there = new Set(filesIn(to));
  for (const hash of filesIn(from)) {
    if (there.has(hash)) continue;
    const bytes = await readFile(pathOfFile(from, hash));
    if ((await hashOfBytes(bytes)) === hash) await putFile(to, bytes);
  }
}
