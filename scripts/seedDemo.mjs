import { spawnSync } from 'node:child_process';
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { projectFolder, stopWith } from './setup.mjs';

const DATABASE_FILE = 'workshop.sqlite';

/**
 * Puts the invented workshop into the demo's data folder, once; `reset` wipes that folder's database first.
 *
 * @param {{ data: string, reset: boolean }} options
 */
export function seedDemo({ data, reset }) {
  const file = join(data, DATABASE_FILE);
  if (reset) for (const ending of ['', '-wal', '-shm']) rmSync(file + ending, { force: true });
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
