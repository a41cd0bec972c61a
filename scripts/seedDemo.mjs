import { spawnSync } from 'node:child_process';
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { DATABASE_FILE, lockFolder } from '../src/db/dataFolder.mjs';
import { projectFolder, stopWith } from './setup.mjs';

/**
 * Puts the invented workshop into the demo's data folder, once; `reset` wipes that folder's database and its copies first.
 *
 * @param {{ data: string, reset: boolean }} options
 */
export function seedDemo({ data, reset }) {
  const file = join(data, DATABASE_FILE);
  if (reset && existsSync(data)) {
    checkFree(data);
    for (const ending of ['', '-wal', '-shm']) rmSync(file + ending, { force: true });
    rmSync(join(data, 'backups'), { recursive: true, force: true });
  }
  if (existsSync(file)) return;
  const seeded = spawnSync(
    process.execPath,
    ['--import', 'tsx', join(projectFolder, 'demo', 'seed.ts'), data],
    {
      cwd: projectFolder,
      encoding: 'utf8',
    },
  );
  if (seeded.status !== 0) {
    stopWith(`The demo could not be put into ${data}: ${seeded.stderr.trim().split('\n').at(-1)}`);
  }
}

/**
 * Ends in one sentence where a server is using the folder.
 *
 * @param {string} folder
 */
function checkFree(folder) {
  try {
    lockFolder(folder)();
  } catch (error) {
    stopWith(error instanceof Error ? error.message : String(error));
  }
}
