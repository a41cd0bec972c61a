// `npm test`: everything that must hold, in the order in which a fault is cheapest to find.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
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
  const { status } = spawnSync(command, words, { cwd: projectFolder, stdio: 'inherit', env });
  if (status !== 0) stopWith(`\n${title}: failed.`);
}

/** @param {string[]} folders */
const nodeTests = (folders) => [
  '--import',
  'tsx',
  '--test',
  '--test-reporter=spec',
  ...filesBelow(
    folders.map((folder) => join(projectFolder, folder)),
    '.test.ts',
  ),
];

checkNode();
ensureInstalled();
ensureChromium();
stage('types of the application', bin('astro'), ['check', '--minimumFailingSeverity', 'warning']);
stage('types of the core, without browser and Node', bin('tsc'), ['-p', 'src/core/tsconfig.json']);
stage('lint and format', bin('biome'), ['ci', '.', '--error-on-warnings']);
stage('nothing unused', bin('knip'), []);
stage(
  'units, import rules and reference checks',
  process.execPath,
  nodeTests(['src', 'tests/rooms', 'tests/reference', 'tests/workshop']),
);
console.log('\n── build');
ensureBuilt();
stage('the server over HTTP', process.execPath, nodeTests(['tests/http']));
stage('the interface in Chromium', bin('playwright'), [
  'test',
  '--config',
  'tests/browser/playwright.config.ts',
]);
