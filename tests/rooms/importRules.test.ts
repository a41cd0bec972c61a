import assert from 'node:assert/strict';
import { cpSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import test from 'node:test';
import { brokenImports } from '../../scripts/importRules.mjs';

const project = process.cwd();

/** The sources in a folder of their own, with one file planted among them. */
async function withPlanted(path: string, text: string): Promise<string[]> {
  return (await brokenIn(path, text)).filter((broken) => broken.includes('planted'));
}

async function brokenIn(path: string, text: string, other?: string, otherText = ''): Promise<string[]> {
  const folder = mkdtempSync(join(tmpdir(), 'tallow-rooms-'));
  try {
    cpSync(join(project, 'src'), join(folder, 'src'), { recursive: true });
    cpSync(join(project, 'tsconfig.json'), join(folder, 'tsconfig.json'));
    writeFileSync(join(folder, path), text);
    if (other) writeFileSync(join(folder, other), otherText);
    return await brokenImports(folder);
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

test('a planted violation is seen: core that reaches words, and words that reach the server', async () => {
  const core = await withPlanted('src/core/planted.ts', "export { counted } from '../words/en/plural';\n");
  assert.deepEqual(rulesOf(core), ['core-stands-alone']);
  const words = await withPlanted(
    'src/words/en/planted.ts',
    "export { findRun } from '../../server/runs';\n",
  );
  assert.deepEqual(rulesOf(words), ['words-on-core']);
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

test('a planted violation is seen: a folder of core that is imported by one it imports', async () => {
  const broken = await brokenIn(
    'src/core/units/planted.ts',
    "export { makeSheet } from '../plan/makeSheet';\n",
  );
  assert.ok(rulesOf(broken).includes('folder-circle'));
});

test('a planted violation is seen: two files that import each other, also types only', async () => {
  const broken = await brokenIn(
    'src/core/units/planted.ts',
    "export type Planted = number;\nexport { plantedBack } from './plantedBack';\n",
    'src/core/units/plantedBack.ts',
    "import type { Planted } from './planted';\nexport const plantedBack: Planted | null = null;\n",
  );
  assert.ok(rulesOf(broken).includes('no-circles'));
});

test('a planted violation is seen: a sentence in core, whole or put together', async () => {
  const whole = await withPlanted('src/core/units/planted.ts', "export const TOLD = 'Pour it cooler.';\n");
  assert.deepEqual(rulesOf(whole), ['words-in-core']);
  const parts = await withPlanted(
    'src/core/units/planted.ts',
    // biome-ignore lint/suspicious/noTemplateCurlyInString: it is the text of a file
    'export const told = (name: string) => `${name} is too hot`;\n',
  );
  assert.deepEqual(rulesOf(parts), ['words-in-core']);
  const thrown = "export function planted(): never {\n  throw new RangeError('height is outside');\n}\n";
  assert.deepEqual(await withPlanted('src/core/units/planted.ts', thrown), []);
});

test('a folder in which hardly anything is seen does not pass', async () => {
  await assert.rejects(brokenImports(project, 100_000), /checked nothing/);
});
