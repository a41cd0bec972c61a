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

process.stdout.write(printed('sheet.ts'));
process.stdout.write(printed('shelf.ts'));

/** @param {string} name */
function printed(name) {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    ['--import', 'tsx', join(projectFolder, 'bench', name)],
    { cwd: projectFolder, encoding: 'utf8' },
  );
  if (status !== 0) throw new Error(stderr);
  return stdout;
}

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
await typing();
await browser.close();
await server.stop();

/**
 * From a key to the next paint in a plan of 8 pours with 20 materials each, beside the same keys in a bare field: what
 * the machine and the browser need by themselves. As Chromium's Event Timing tells it, in steps of 8 ms.
 */
async function typing() {
  const response = await fetch(`${server.base}/api/plans/import`, {
    method: 'POST',
    body: printed('manyPours.ts'),
    headers: { 'content-type': 'application/json' },
  });
  const { id } = await response.json();
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${server.base}/plans/${id}`, { waitUntil: 'networkidle' });
  const inPlan = await keysTo(page, '[aria-label="Dose of Wide 7"]');
  await page.goto('about:blank');
  await page.setContent('<input aria-label="bare">');
  const bare = await keysTo(page, 'input');
  console.log(
    `a key in a plan of 8 pours with 20 materials to the next paint: median ${inPlan.toPaint} ms, worst ${inPlan.worst} ms, of which handling ${inPlan.handling.toFixed(1)} ms; in a bare field ${bare.toPaint} and ${bare.worst} ms`,
  );
  await page.close();
}

/**
 * @param {import('@playwright/test').Page} page
 * @param {string} field
 */
async function keysTo(page, field) {
  await page.evaluate(() => {
    /** @type {{ handling: number, toPaint: number }[]} */
    const seen = [];
    Object.assign(window, { seen });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) {
        const { name, processingStart, processingEnd, duration } = /** @type {PerformanceEventTiming} */ (
          entry
        );
        if (name === 'input' || name === 'keydown')
          seen.push({ handling: processingEnd - processingStart, toPaint: duration });
      }
    }).observe(/** @type {PerformanceObserverInit} */ ({ type: 'event', durationThreshold: 16 }));
  });
  await page.locator(field).focus();
  for (let round = 0; round < 12; round++) {
    for (const key of ['Backspace', '1', 'Backspace', '3']) {
      await page.keyboard.press(key);
      await page.waitForTimeout(60);
    }
  }
  /** @type {{ handling: number, toPaint: number }[]} */
  const seen = await page.evaluate('window.seen');
  const sorted = (/** @type {'handling' | 'toPaint'} */ key) =>
    seen.map((each) => each[key]).sort((a, b) => a - b);
  const middle = (/** @type {number[]} */ figures) => figures[Math.floor(figures.length / 2)] ?? 0;
  const toPaint = sorted('toPaint');
  return { toPaint: middle(toPaint), worst: toPaint.at(-1) ?? 0, handling: middle(sorted('handling')) };
}
