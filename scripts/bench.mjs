// `npm run bench`: speeds as ratios within one run, sizes in bytes. A report, never a test.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { launchChromium } from './browser.mjs';
import { startChild } from './childServer.mjs';
import { chromiumPath, ensureChromium, SHELL, WHOLE } from './ensureChromium.mjs';
import { ensureBuilt, ensureInstalled, projectFolder } from './setup.mjs';

ensureInstalled();
ensureChromium();
ensureBuilt();

process.stdout.write(printed('sheet.ts'));
process.stdout.write(printed('mesh.ts'));
process.stdout.write(printed('shelf.ts'));
process.stdout.write(printed('pourPlan.ts'));
process.stdout.write(printed('onward.ts'));
process.stdout.write(printed('tick.ts'));
process.stdout.write(printed('beside.ts'));
process.stdout.write(printed('held.ts'));
process.stdout.write(printed('listPages.ts'));
process.stdout.write(printed('manyConnections.ts'));

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

/** No script for so long: all of them are there. */
const QUIET_MS = 700;

const json = async (/** @type {string} */ path) => (await fetch(server.base + path)).json();
// The same one each time: others say something else, and load the words for it.
const [{ id: plan }] = (await json('/api/plans')).toSorted((one, other) =>
  one.plan.name.localeCompare(other.plan.name),
);
const [{ id: run }] = await json('/api/runs');
// The shell paints on another clock: a key in a bare field takes no time in it.
const browser = await launchChromium(chromiumPath([WHOLE, SHELL]));
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
  /** @type {Promise<{ isWorker: boolean, size: number }>[]} */
  const sizes = [];
  page.on('response', (response) => {
    const url = response.url();
    if (url.endsWith('.js'))
      sizes.push(
        response.body().then((body) => ({ isWorker: url.includes('.worker-'), size: gzipSync(body).length })),
      );
  });
  // The bench listens for as long as it is open: its network is never idle, and no more scripts come at some time.
  await page.goto(server.base + path, { waitUntil: 'load' });
  for (let seen = -1; seen < sizes.length; await page.waitForTimeout(QUIET_MS)) seen = sizes.length;
  const loaded = await Promise.all(sizes);
  const kilobytes = (/** @type {boolean} */ ofWorkers) =>
    (loaded.reduce((sum, { isWorker, size }) => sum + (isWorker === ofWorkers ? size : 0), 0) / 1000).toFixed(
      1,
    );
  const workers = loaded.some(({ isWorker }) => isWorker) ? `, and ${kilobytes(true)} kB for its worker` : '';
  console.log(`  ${name.padEnd(16)} ${kilobytes(false).padStart(6)} kB${workers}`);
  await page.close();
}
await typing();
await dragging();
await planning();
await weighing();
await twoHours();
await browser.close();
await server.stop();

/**
 * From a key to the next paint in a plan of 8 pours with 20 materials each, beside the same keys in a bare field: what
 * the machine and the browser need by themselves. As Chromium's Event Timing tells it, in steps of 8 ms.
 */
async function typing() {
  const id = await imported('manyPours.ts');
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

/** @param {string} name the script of bench/ that prints a plan file */
async function imported(name) {
  const response = await fetch(`${server.base}/api/plans/import`, {
    method: 'POST',
    body: printed(name),
    headers: { 'content-type': 'application/json' },
  });
  return (await response.json()).id;
}

/** Frames while the boundary between the fourth and fifth of 8 pours is dragged up and down; then an idle page's. */
async function dragging() {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${server.base}/plans/${await imported('eightLayers.ts')}`, { waitUntil: 'networkidle' });
  const line = await page
    .getByRole('slider', { name: 'Boundary of D and E' })
    .locator('polyline')
    .boundingBox();
  if (!line) throw new Error('no boundary to drag');
  const [x, y] = [line.x + line.width / 3, line.y + line.height / 2];
  const whileIdle = await framesDuring(page, () => page.waitForTimeout(2000));
  await page.mouse.move(x, y);
  await page.mouse.down();
  const whileDragged = await framesDuring(page, async () => {
    for (let step = 0; step < 200; step++) await page.mouse.move(x, y + 12 * Math.sin(step / 6));
  });
  await page.mouse.up();
  const told = (/** @type {{ late: number, missed: number, count: number }} */ { late, missed, count }) =>
    `${((100 * late) / count).toFixed(1)} % of ${count} frames over 16.7 ms, ${((100 * missed) / count).toFixed(1)} % over 25 ms`;
  console.log(`a boundary of 8 pours dragged: ${told(whileDragged)}; idle: ${told(whileIdle)}`);
  await page.close();
}

/** From a key in the room's temperature to the strip: first with everything in the middle, then with all ranges. */
async function planning() {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${server.base}/plans/${await imported('fourPours.ts')}`, { waitUntil: 'networkidle' });
  const isWhole = () =>
    page.waitForSelector('section[aria-busy="false"] [role="slider"][aria-label^="Pour D"]');
  await isWhole();
  await page.getByRole('button', { name: 'Room & time' }).click();
  const field = page.getByLabel('Temperature');
  await field.waitFor();
  await page.evaluate(() => {
    const seen = { keyed: 0, first: 0, whole: 0, longest: 0 };
    Object.assign(window, { seen });
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) seen.longest = Math.max(seen.longest, duration);
    }).observe({ type: 'longtask' });
    document.addEventListener(
      'input',
      () => Object.assign(seen, { keyed: performance.now(), first: 0, whole: 0 }),
      true,
    );
    const strip = document.querySelector('section[aria-labelledby="pour-plan-title"]');
    const note = () => {
      const isBusy = strip?.getAttribute('aria-busy') === 'true';
      if (seen.keyed > 0 && seen.first === 0 && strip?.querySelector('progress[value]'))
        seen.first = performance.now();
      if (seen.first > 0 && seen.whole === 0 && !isBusy) seen.whole = performance.now();
      requestAnimationFrame(note);
    };
    requestAnimationFrame(note);
  });
  for (const text of ['23', '24', '25', '26', '27']) {
    await field.fill(text);
    // The page's policy forbids to wait for a line of script; to ask for its value is allowed.
    for (let turn = 0; turn < 300 && (await page.evaluate('window.seen.whole')) === 0; turn++)
      await page.waitForTimeout(100);
    /** @type {{ keyed: number, first: number, whole: number, longest: number }} */
    const { keyed, first, whole, longest } = await page.evaluate('window.seen');
    console.log(
      `pour plan of four pours, key to strip: first result ${(first - keyed).toFixed(0)} ms, all ranges ${(whole - keyed).toFixed(0)} ms; longest task of the page so far ${longest === 0 ? 'under 50' : longest.toFixed(0)} ms`,
    );
  }
  await page.close();
}

/** Frames of the bench while a scale shows its reading ten times a second, beside those of an empty page. */
async function weighing() {
  const page = await browser.newPage({ viewport: { width: 1024, height: 768 } });
  await page.addInitScript(() => {
    if (location.protocol !== 'about:') localStorage.setItem('tallow.bench.scale', 'stand-in');
  });
  await page.goto(`${server.base}/bench/${run}`);
  await page.getByTestId('live').waitFor();
  const atBench = await framesDuring(page, () => page.waitForTimeout(8000));
  await page.goto('about:blank');
  const empty = await framesDuring(page, () => page.waitForTimeout(8000));
  const told = (/** @type {{ doubled: number, count: number }} */ { doubled, count }) =>
    `${((100 * doubled) / count).toFixed(2)} % of ${count}`;
  console.log(
    `the bench with ten readings a second: ${told(atBench)} frames over two refresh intervals; an empty page: ${told(empty)}`,
  );
  await page.close();
}

/** What the bench holds after two hours of readings ten times a second and of its own clock. */
async function twoHours() {
  const page = await browser.newPage({ viewport: { width: 1024, height: 768 } });
  await page.clock.install();
  await page.goto(`${server.base}/bench/${run}`);
  await page.getByTestId('target').waitFor();
  const session = await page.context().newCDPSession(page);
  const held = async () => {
    await session.send('HeapProfiler.collectGarbage');
    return (await session.send('Runtime.getHeapUsage')).usedSize / 1e6;
  };
  const send = (/** @type {number} */ from) =>
    fetch(`${server.base}/api/instruments/bench/readings`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(Array.from({ length: 600 }, (_, place) => ({ massG: from + (place % 40) / 10 }))),
    });
  await send(0);
  await page.clock.runFor(60_000);
  const before = await held();
  // A minute of readings at a time: 120 times 600 of them.
  for (let minute = 0; minute < 120; minute++) {
    await send(minute);
    await page.clock.runFor(60_000);
  }
  console.log(
    `the bench after two hours of its clock and 72,000 readings: ${(await held()).toFixed(1)} MB held, ${before.toFixed(1)} MB after the first minute`,
  );
  await page.close();
}

/**
 * @param {import('@playwright/test').Page} page
 * @param {() => Promise<unknown>} work
 */
async function framesDuring(page, work) {
  await page.evaluate(() => {
    const frames = /** @type {number[]} */ ([]);
    Object.assign(window, { frames });
    const note = (/** @type {number} */ at) => {
      frames.push(at);
      requestAnimationFrame(note);
    };
    requestAnimationFrame(note);
  });
  await work();
  /** @type {number[]} */
  const frames = await page.evaluate('window.frames');
  const spans = frames.slice(1).map((at, index) => at - (frames[index] ?? 0));
  // A frame's stamp is told to the tenth of a millisecond.
  return {
    count: spans.length,
    late: spans.filter((ms) => ms > 16.75).length,
    missed: spans.filter((ms) => ms > 25).length,
    doubled: spans.filter((ms) => ms > 33.5).length,
  };
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
