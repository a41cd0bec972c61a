import assert from 'node:assert/strict';
import { cpSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import test, { before } from 'node:test';
import { brokenImports } from '../../scripts/importRules.mjs';

const project = process.cwd();

/** What stands in a house of its own, in the rooms of this one. */
const STANDING = {
  'src/db/connection.ts': 'export const openDatabase = 1;\n',
  'src/server/runs.ts': 'export const findRun = 1;\n',
  'src/words/en/plural.ts': 'export const counted = 1;\n',
  'src/core/plan/makeSheet.ts': "export { GRAM as makeSheet } from '../units/gram';\n",
  'src/core/units/gram.ts': 'export const GRAM = 1;\n',
};

/** What is planted there: each file breaks what its test says. */
const PLANTED = {
  'src/core/toDatabase.planted.ts': "export { openDatabase } from '../db/connection';\n",
  'src/core/toWords.planted.ts': "export { counted } from '../words/en/plural';\n",
  'src/words/en/toServer.planted.ts': "export { findRun } from '../../server/runs';\n",
  'src/islands/toServer.planted.ts': "export { findRun } from '../server/runs';\n",
  'src/pages/toDatabase.planted.astro': "---\nimport { openDatabase } from '../db/connection';\n---\n",
  'src/core/units/upwards.planted.ts': "export { makeSheet } from '../plan/makeSheet';\n",
  'src/core/knows/forth.planted.ts':
    "export type Planted = number;\nexport { plantedBack } from './back.planted';\n",
  'src/core/knows/back.planted.ts':
    "import type { Planted } from './forth.planted';\nexport const plantedBack: Planted | null = null;\n",
  'src/core/knows/whole.planted.ts': "export const TOLD = 'Pour it cooler.';\n",
  'src/core/knows/parts.planted.ts':
    // biome-ignore lint/suspicious/noTemplateCurlyInString: it is the text of a file
    'export const told = (name: string) => `${name} is too hot`;\n',
  'src/core/knows/thrown.planted.ts':
    "export function planted(): never {\n  throw new RangeError('height is outside');\n}\n",
} as const;

/** The tool does not read them. */
const ASTRO_PAGES = Object.keys(PLANTED).filter((path) => path.endsWith('.astro')).length;

let broken: string[] = [];

before(async () => {
  broken = await inFolder(async (folder) => {
    const files = Object.entries({ ...STANDING, ...PLANTED });
    for (const [path, text] of files) write(join(folder, path), text);
    return await brokenImports(folder, files.length - ASTRO_PAGES);
  });
});

function write(path: string, text: string) {
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(path, text);
}

async function inFolder<T>(use: (folder: string) => Promise<T>): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'tallow-rooms-'));
  try {
    cpSync(join(project, 'tsconfig.json'), join(folder, 'tsconfig.json'));
    return await use(folder);
  } finally {
    rmSync(folder, { recursive: true });
  }
}

/** The rules that a planted file is told to break. */
const rulesBrokenBy = (path: keyof typeof PLANTED) =>
  broken.filter((each) => each.includes(`: ${path}`)).map((each) => each.split(':')[0]);

test('imports run one way through the rooms', async () => {
  assert.deepEqual(await brokenImports(project), []);
});

test('a planted violation is seen: core that reaches the database', () => {
  assert.deepEqual(rulesBrokenBy('src/core/toDatabase.planted.ts'), ['core-stands-alone']);
});

test('a planted violation is seen: core that reaches words, and words that reach the server', () => {
  assert.deepEqual(rulesBrokenBy('src/core/toWords.planted.ts'), ['core-stands-alone']);
  assert.deepEqual(rulesBrokenBy('src/words/en/toServer.planted.ts'), ['words-on-core']);
});

test('a planted violation is seen: an island that reaches the server', () => {
  assert.ok(rulesBrokenBy('src/islands/toServer.planted.ts').includes('browser-never-reaches-server'));
});

test('a planted violation is seen: a page that goes past the server', () => {
  assert.deepEqual(rulesBrokenBy('src/pages/toDatabase.planted.astro'), ['pages-through-server']);
});

test('a planted violation is seen: a folder of core that is imported by one it imports', () => {
  assert.ok(broken.includes('folder-circle: src/core/units → src/core/units'));
});

test('a planted violation is seen: two files that import each other, also types only', () => {
  const circles = broken.filter((each) => each.startsWith('no-circles: src/core/knows/'));
  assert.ok(
    circles.some((each) => each.includes('back.planted')),
    circles.join('\n'),
  );
});

test('a planted violation is seen: a sentence in core, whole or put together', () => {
  assert.deepEqual(rulesBrokenBy('src/core/knows/whole.planted.ts'), ['words-in-core']);
  assert.deepEqual(rulesBrokenBy('src/core/knows/parts.planted.ts'), ['words-in-core']);
  assert.deepEqual(rulesBrokenBy('src/core/knows/thrown.planted.ts'), []);
});

test('a folder in which hardly anything is seen does not pass', async () => {
  await inFolder(async (folder) => {
    write(join(folder, 'src/core/alone.ts'), 'export const ALONE = 1;\n');
    await assert.rejects(brokenImports(folder), /checked nothing/);
  });
});
