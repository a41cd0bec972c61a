import assert from 'node:assert/strict';
import { cpSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import test from 'node:test';
import { brokenImports } from '../../scripts/importRules.mjs';

const project = process.cwd();

/** The sources in a folder of their own, with one file planted among them. */
async function withPlanted(path: string, text: string): Promise<string[]> {
  const folder = mkdtempSync(join(tmpdir(), 'tallow-rooms-'));
  try {
    cpSync(join(project, 'src'), join(folder, 'src'), { recursive: true });
    cpSync(join(project, 'tsconfig.json'), join(folder, 'tsconfig.json'));
    writeFileSync(join(folder, path), text);
    return (await brokenImports(folder)).filter((broken) => broken.includes('planted'));
  } finally {
    rmSync(folder, { recursive: true });
  }
}

const rulesOf = (broken: string[]) => broken.map((each) => each.split(':')[0]);

test('imports run one way through the rooms', async () => {
  assert.deepEqual(await brokenImports(project), []);
});

test('a planted violation is seen: core that reaches the database', async () => {
  const broken = await withPlanted(
    'src/core/planted.ts',
    "export { openDatabase } from '../db/connection';\n",
  );
  assert.deepEqual(rulesOf(broken), ['core-stands-alone']);
});

test('a planted violation is seen: an island that reaches the server', async () => {
  const broken = await withPlanted('src/islands/planted.ts', "export { findRun } from '../server/runs';\n");
  assert.ok(rulesOf(broken).includes('browser-never-reaches-server'));
});

test('a planted violation is seen: a page that goes past the server', async () => {
  const broken = await withPlanted(
    'src/pages/planted.astro',
    "---\nimport { openDatabase } from '../db/connection';\n---\n",
  );
  assert.deepEqual(rulesOf(broken), ['pages-through-server']);
});

test('a folder in which hardly anything is seen does not pass', async () => {
  await assert.rejects(brokenImports(project, 100_000), /checked nothing/);
});
