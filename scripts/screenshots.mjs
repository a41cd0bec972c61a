// `npm run screenshots`: one current picture of each main view, from the demo data, into docs/screenshots.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { launchChromium } from './browser.mjs';
import { startChild } from './childServer.mjs';
import { ensureChromium } from './ensureChromium.mjs';
import { ensureBuilt, ensureInstalled, projectFolder } from './setup.mjs';

ensureInstalled();
ensureChromium();
ensureBuilt();
const folder = join(projectFolder, 'docs', 'screenshots');
mkdirSync(folder, { recursive: true });
const server = await startChild(['--demo']);
const browser = await launchChromium();

const json = async (/** @type {string} */ path) => (await fetch(server.base + path)).json();
const plans = await json('/api/plans');
const planNamed = (/** @type {string} */ start) =>
  plans.find((/** @type {{ plan: { name: string } }} */ { plan }) => plan.name.startsWith(start)).id;
const [{ id: run }] = await json('/api/runs');
const { runId: logged } = (await json('/api/log')).at(-1);

/** @type {[name: string, path: string, before?: (page: import('@playwright/test').Page) => Promise<void>][]} */
const VIEWS = [
  ['today', '/'],
  ['plans', '/plans'],
  ['plan-workspace', `/plans/${planNamed('Tinsmith')}`],
  [
    'plan-pours',
    `/plans/${planNamed('Lighthouse')}`,
    async (page) => page.getByRole('tab', { name: /^B/ }).click(),
  ],
  [
    'plan-embeds',
    `/plans/${planNamed('Paper Boats')}`,
    async (page) => {
      await page.getByRole('tab', { name: 'Side by side' }).click();
      await page.getByLabel('Quay Blue liquid in D').click();
    },
  ],
  [
    'rehearsal',
    `/plans/${planNamed('Lighthouse')}/rehearsal`,
    async (page) => {
      await page.getByLabel('Pour too late').check();
      await page.getByLabel('The telephone rings').check();
    },
  ],
  [
    'pour-plan',
    `/plans/${planNamed('Lighthouse')}`,
    async (page) => {
      await page.locator('section[aria-busy="false"] [role="slider"][aria-label^="Pour B"]').dblclick();
      await page.getByText(/A carries B after/).waitFor();
    },
  ],
  [
    'bench',
    `/bench/${run}`,
    async (page) => {
      await page.getByLabel('On the scale').fill('3.9');
    },
  ],
  ['rack', '/rack'],
  ['inspection', `/rack/${logged}?round=1`, async (page) => page.locator('[data-cause]').first().waitFor()],
  ['molds', '/molds', async (page) => page.getByRole('button', { name: /Slab bar tray/ }).click()],
  ['shelf', '/shelf'],
  [
    'colour-match',
    '/shelf?material=quay-blue',
    async (page) => page.getByRole('group', { name: 'Match a sample' }).scrollIntoViewIfNeeded(),
  ],
  [
    'lots',
    '/shelf?material=bay-rope&side=lots',
    async (page) => page.locator('summary').filter({ hasText: 'B7-12' }).click(),
  ],
  ['product', '/products/bare-face'],
  ['house-rules', '/house-rules'],
  [
    'what-to-buy',
    `/plans/buy?plan=${planNamed('Tinsmith')}&pieces-${planNamed('Tinsmith')}=24&plan=${planNamed('Ropewalk')}&plan=${planNamed('Nettle')}`,
  ],
  ['logbook', '/log'],
  ['logbook-run', `/log/${logged}`],
];

for (const [name, path, before] of VIEWS) {
  const page = await browser.newPage({
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    colorScheme: 'light',
    reducedMotion: 'reduce',
  });
  // What follows a run listens for as long as it is open, and asks for nothing else once it is drawn.
  const isBench = path.startsWith('/bench/');
  const listens = isBench || /^\/(?:rack|log\/)/.test(path);
  await page.goto(server.base + path, { waitUntil: listens ? 'load' : 'networkidle' });
  if (isBench) await page.getByRole('navigation', { name: 'Tasks' }).waitFor();
  if (path.startsWith('/log/')) await page.getByRole('heading', { name: 'Seen so far' }).waitFor();
  if (path === '/rack') await page.locator('[data-next]').first().waitFor();
  await before?.(page);
  // A plan is whole once its pour plan has its ranges.
  const plan = page.locator('section[aria-labelledby="pour-plan-title"]');
  if ((await plan.count()) > 0) await plan.locator('[class*="absolute"]').first().waitFor();
  await page.waitForFunction(() => !document.querySelector('section[aria-busy="true"]'));
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: join(folder, `${name}.png`) });
  await page.close();
}
await browser.close();
await server.stop();
console.log(`${VIEWS.length} pictures are in docs/screenshots.`);
