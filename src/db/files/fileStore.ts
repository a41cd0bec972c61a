import { createHash } from 'node:crypto';
import {
  closeSync,
  existsSync,
  fsyncSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  writeSync,
} from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { makeFolder } from '../makeFolder';

/** Beside the database: each file under the hash of what is in it, so that it is never changed. */
export const FILES_FOLDER = 'files';

const NAME = /^[0-9a-f]{64}$/;

export const hashOfBytes = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

export function pathOfFile(folder: string, hash: string): string {
  if (!NAME.test(hash)) throw new RangeError('not the hash of a file');
  return join(folder, FILES_FOLDER, hash);
}

/**
 * Keeps bytes under their hash. They are on the disk when this returns; what is there already stays.
 *
 * @returns the hash
 */
export function putFile(folder: string, bytes: Uint8Array): string {
  const hash = hashOfBytes(bytes);
  const path = pathOfFile(folder, hash);
  if (existsSync(path)) return hash;
  makeFolder(join(folder, FILES_FOLDER));
  const part = `${path}.part`;
  const handle = openSync(part, 'w');
  try {
    writeSync(handle, bytes);
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
  renameSync(part, path);
  return hash;
}

/** The bytes of a file; null where they are not there, or are others. */
export function fileBytes(folder: string, hash: string): Buffer | null {
  try {
    const bytes = readFileSync(pathOfFile(folder, hash));
    return hashOfBytes(bytes) === hash ? bytes : null;
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
    if (hashOfBytes(bytes) === hash) putFile(to, bytes);
  }
}
