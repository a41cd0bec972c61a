import { closeSync, fsyncSync, openSync, rmSync, statfsSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { type CopyState, copyState } from './copies';
import type { Workshop } from './openWorkshop';
import { whenFree } from './whenFree';

/** How the workshop's folder and file are. */
export interface Health {
  /** `low-space`: what is saved still fits, a copy may not. */
  status: 'ok' | 'low-space';
  /** Bytes that are free where the workshop lies; null where nothing is kept. */
  freeBytes: number | null;
  copies: CopyState;
}

/** A workshop of many years with its copies of a day, a week and a month takes as much. */
const LOW_BYTES = 200_000_000;

/**
 * Writes to the folder and asks for the file's lock, as a save does.
 *
 * @throws what the system refuses: see databaseProblem
 */
export async function healthOf(workshop: Workshop): Promise<Health> {
  const { db, folder } = workshop;
  const copies = copyState(workshop);
  if (folder === null) return { status: 'ok', freeBytes: null, copies };
  tryToWrite(folder);
  await whenFree(db);
  const freeBytes = freeBytesIn(folder);
  return { status: freeBytes < LOW_BYTES ? 'low-space' : 'ok', freeBytes, copies };
}

/** The bytes that are free where the workshop lies, where they are few; null where there is room. */
export function lowSpaceOf({ folder }: Pick<Workshop, 'folder'>): number | null {
  const freeBytes = folder === null ? LOW_BYTES : freeBytesIn(folder);
  return freeBytes < LOW_BYTES ? freeBytes : null;
}

function freeBytesIn(folder: string): number {
  const { bavail, bsize } = statfsSync(folder);
  return bavail * bsize;
}

function tryToWrite(folder: string): void {
  const path = join(folder, 'write-test.tmp');
  const handle = openSync(path, 'w');
  try {
    writeSync(handle, Buffer.alloc(4096));
    fsyncSync(handle);
  } finally {
    closeSync(handle);
    rmSync(path, { force: true });
  }
}
