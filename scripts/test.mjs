// `npm test`: everything that must hold, in the order in which a fault is cheapest to find.
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureChromium } from './ensureChromium.mjs';
import { filesBelow } from './files.mjs';
import { checkNode, ensureBuilt, ensureInstalled, projectFolder, stopWith } from './setup.mjs';

const bin = (/** @type {string} */ name) => join(projectFolder, 'node_modules', '.bin', name);
const env = { ...process.env, ASTRO_TELEMETRY_DISABLED: '1', ASTRO_DISABLE_UPDATE_CHECK: 'true' };

/**
 * @param {string} title
 * @param {string} command
 * @param {string[]} words
 */
function stage(title, command, words) {
  console.log(`\n── ${title}`);
  const began = performance.now();
  const { status } = spawnSync(command, words, { cwd: projectFolder, stdio: 'inherit', env });
  if (status !== 0) stopWith(`\n${title}: failed.`);
  console.log(`${title}: ${Math.round((performance.now() - began) / 1000)} s`);
}

/**
 * A stage that keeps one core busy, begun now and waited for later: others go on beside it.
 *
 * @param {string} title
 * @param {string} command
 * @param {string[]} words
 */
function begin(title, command, words) {
  const folder = join(projectFolder, 'node_modules', '.cache');
  mkdirSync(folder, { recursive: true });
  const printed = join(folder, `${title}.log`);
  const into = openSync(printed, 'w');
  const began = performance.now();
  const child = spawn(command, words, { cwd: projectFolder, stdio: ['ignore', into, into], env });
  const ended = new Promise((resolve) => child.once('close', resolve));
  const took = ended.then(() => Math.round((performance.now() - began) / 1000));
  process.once('exit', () => child.kill());
  return async () => {
    console.log(`\n── ${title}`);
    const status = await ended;
    process.stdout.write(readFileSync(printed, 'utf8'));
    if (status !== 0) stopWith(`\n${title}: failed.`);
    console.log(`${title}: ${await took} s, beside others`);
  };
}

const AT_ONCE = availableParallelism();

/** @param {string[]} folders */
const testsBelow = (folders) =>
  filesBelow(
    folders.map((folder) => join(projectFolder, folder)),
    '.test.ts',
  );

/** @param {string[]} files */
const nodeTests = (files) => [
  '--import',
  'tsx',
  '--test',
  '--test-reporter=spec',
  `--test-concurrency=${AT_ONCE}`,
  ...files,
];

/**
 * Tests that share a process with others: what most of them import is read a few times instead of a hundred.
 *
 * @param {string[]} files
 * @returns {string[]} a file for each process
 */
function together(files) {
  const folder = join(projectFolder, 'node_modules', '.cache', 'tests');
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  const groups = 2 * AT_ONCE;
  return Array.from({ length: groups }, (_, group) => {
    const path = join(folder, `${group}.mjs`);
    const own = files.filter((_, index) => index % groups === group);
    writeFileSync(path, own.map((file) => `await import('${pathToFileURL(file)}');\n`).join(''));
    return path;
  });
}

checkNode();
ensureInstalled();
ensureChromium();
const types = begin('types of the application', bin('astro'), [
  'check',
  '--minimumFailingSeverity',
  'warning',
]);
stage('types of the core, without browser and Node', bin('tsc'), ['-p', 'src/core/tsconfig.json']);
stage('lint and format', bin('biome'), ['ci', '.', '--error-on-warnings']);
stage('nothing unused', bin('knip'), []);
console.log('\n── build');
ensureBuilt();
await types();
stage(
  'units, import rules and reference checks',
  process.execPath,
  nodeTests(together(testsBelow(['src', 'tests/rooms', 'tests/reference', 'tests/workshop']))),
);
stage('the server over HTTP', process.execPath, nodeTests(testsBelow(['tests/http'])));
stage('the interface in Chromium', bin('playwright'), [
  'test',
  '--config',
  'tests/browser/playwright.config.ts',
]);
