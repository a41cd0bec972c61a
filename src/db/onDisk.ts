import { statSync } from 'node:fs';
import { open } from 'node:fs/promises';

/** What was written to a file or a folder outlives a loss of power from now on. */
export async function onDisk(path: string): Promise<void> {
  // Windows opens no folder, and keeps its entries without being asked.
  if (process.platform === 'win32' && statSync(path).isDirectory()) return;
  const handle = await open(path, statSync(path).isDirectory() ? 'r' : 'r+');
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
}
