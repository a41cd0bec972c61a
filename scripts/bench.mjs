// `npm run bench`: speeds as ratios within one run, sizes in bytes. A report, never a test.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { launchChromium } from './browser.mjs';
import { startChild } from './childServer.mjs';
import { ensureChromium } from './ensureChromium.mjs';
import { ensureBuilt, ensureInstalled, projectFolder } from './setup.mjs';

ensureInstalled();
ensureChromium();
ensureBuilt();

const sheet = spawnSync(process.execPath, ['--import', 'tsx', join(projectFolder, 'bench', 'sheet.ts')], {
  cwd: projectFolder,
  encoding: 'utf8',
});
if (sheet.status !== 0) throw new Error(sheet.stderr);
process.stdout.write(sheet.stdout);

const server = await startChild(['--demo']);
const again = await startChild(['--demo']);
console.log(
  `server start to first answer, seeding the demo first: ${server.startedInMs.toFixed(0)} and ${again.startedInMs.toFixed(0)} ms`,
);
await again.stop();
const empty = await startChild([]);
console.log(`server start to first answer, empty workshop: ${empty.startedInMs.toFixed(0)} ms`);
await empty.stop();

const json = async (/** @type {string} */ path) => (await fetch(server.base + path)).json();
const [{ id: plan }] = await json('/api/plans');
const [{ id: run }] = await json('/api/runs');
const browser = await launchChromium();
console.log('client JavaScript, gzipped:');
for (const [name, path] of [
  ['today', '/'],
  ['plans', '/plans'],
  ['plan workspace', `/plans/${plan}`],
  ['bench', `/bench/${run}`],
  ['shelf', '/shelf'],
  ['molds', '/molds'],
  ['logbook', '/log'],
]) {
  const page = await browser.newPage();
  /** @type {Promise<number>[]} */
  const sizes = [];
  page.on('response', (response) => {
    if (response.url().endsWith('.js')) sizes.push(response.body().then((body) => gzipSync(body).length));
  });
  await page.goto(server.base + path, { waitUntil: 'networkidle' });
  const bytes = (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0);
  console.log(`  ${name.padEnd(16)} ${(bytes / 1000).toFixed(1).padStart(6)} kB`);
  await page.close();
}
await browser.close();
await server.stop();
