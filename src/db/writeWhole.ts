import { open, rename, rm } from 'node:fs/promises';
import { dirname } from 'node:path';

/**
 * Writes a file that has its name only once it is whole, and outlives a loss of power from then on. What was begun of it is
 * taken away again.
 *
 * @param to in a folder that is there
 * @param write writes it under the name that it is given; what it throws is thrown
 */
export async function writeWhole(to: string, write: (part: string) => Promise<void>): Promise<void> {
  const part = `${to}.part`;
  try {
    await rm(part, { force: true });
    await write(part);
    await onDisk(part, 'r+');
    await rename(part, to);
    await folderOnDisk(dirname(to));
  } finally {
    await rm(part, { force: true });
  }
}

async function onDisk(path: string, flags: 'r' | 'r+'): Promise<void> {
  const handle = await open(path, flags);
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
}

/** What a system says that opens no folder, as Windows, or a file system that syncs none, as some sticks and shares. */
const NOT_FOR_FOLDERS: ReadonlySet<unknown> = new Set(['EACCES', 'EINVAL', 'EISDIR', 'ENOTSUP', 'EPERM']);

async function folderOnDisk(folder: string): Promise<void> {
  try {
    await onDisk(folder, 'r');
  } catch (error) {
    if (!(error instanceof Error && 'code' in error && NOT_FOR_FOLDERS.has(error.code))) throw error;
  }
}
