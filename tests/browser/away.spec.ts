import { type Browser, expect, type Page, test } from '@playwright/test';
import type { Run } from '../../src/core/run/run';
import { base, fragrance, planFile } from '../support/planFiles';
import { nextEvent } from '../support/runs';
import { type RunningServer, send, startServer, temporaryFolder } from '../support/server';
import { looksRight } from './looksRight';

test.use({ serviceWorkers: 'allow' });

/** The page, and what it loaded, opens without the server from now on. */
async function kept(page: Page) {
  await expect
    .poll(() =>
      page.evaluate(async () => {
        const names = (await (await caches.open('tallow-bench-1')).keys()).map(
          ({ url }) => new URL(url).pathname,
        );
        return names.includes(location.pathname) && names.some((name) => name.startsWith('/_astro/Bench'));
      }),
    )
    .toBe(true);
}

/** A run that is begun, on the screens of two browsers, the first of which keeps its page. */
async function onTwoScreens(browser: Browser) {
  const folder = temporaryFolder();
  const server: RunningServer = await startServer(folder.path);
  const { base: address, port } = server;
  const file = planFile([{ base: base(), doses: [[fragrance(), '2.8 %']] }, {}, {}]);
  const { id: planId } = (await send(address, 'POST', '/api/plans/import', file)).body;
  const runId = crypto.randomUUID();
  await send(address, 'POST', '/api/runs', { id: runId, planId });
  const contexts = await Promise.all([browser.newContext(), browser.newContext()]);
  const [one, two] = await Promise.all(contexts.map((context) => context.newPage()));
  if (!one || !two) throw new Error('two pages');
  for (const page of [one, two]) await page.goto(`${address}/bench/${runId}`);
  await kept(one);
  return { folder, server, address, port, runId, contexts, one, two };
}

const ticked = (page: Page) => page.getByRole('button', { name: /ticked/ });

test('the server stops in the middle of a weighing: the bench works on, through a reload, and delivers by itself; a second screen follows', async ({
  browser,
}) => {
  const { folder, address, port, runId, contexts, one, two, ...begun } = await onTwoScreens(browser);
  let { server } = begun;

  await one.getByLabel('On the scale').fill('204');
  await server.stop('SIGKILL');
  await expect(one.getByText('No answer from Idle Tallow.')).toBeVisible();
  await one.getByRole('button', { name: 'Tick', exact: true }).click();
  await expect(one.getByText('1 tick is kept here')).toBeVisible();
  await expect(ticked(one)).toHaveCount(1);
  await one.getByRole('button', { name: 'Done' }).click();
  await expect(one.getByText('2 ticks are kept here')).toBeVisible();
  await looksRight(one, 'the bench without the server');
  await one.reload();
  await expect(ticked(one)).toHaveCount(2);
  await expect(one.getByText('2 ticks are kept here')).toBeVisible();

  // A limit that is passed at the scale is told in words, also where they were never shown before.
  await one.getByLabel('On the scale').fill('20');
  await expect(one.getByText(/^Fragrance 28\.52 % of base, cap 3 %\. 170\.1 g more base/)).toBeVisible();

  // Any other page is ours, with a way to try again.
  await one.goto(`${address}/plans`);
  await expect(one.getByRole('heading', { name: 'No answer from Idle Tallow' })).toBeVisible();
  await looksRight(one, 'a page without the server');
  server = await startServer(folder.path, [], port);
  await one.getByRole('link', { name: 'Try again' }).click();
  await expect(one.getByRole('heading', { name: 'Plans' })).toBeVisible();

  // Nothing was sent while no bench was open; the page of the bench does it without a press.
  await one.goto(`${address}/bench/${runId}`);
  for (const page of [one, two]) {
    await expect(page.getByText('No answer from Idle Tallow')).toBeHidden();
    await expect(ticked(page)).toHaveCount(2);
  }
  const run: Run = (await send(address, 'GET', `/api/runs/${runId}`)).body;
  expect(run.events.map(({ event }) => event.kind)).toEqual(['weighed', 'done']);
  expect(run.events[0]?.event).toMatchObject({ massG: 204 });
  await Promise.all(contexts.map((context) => context.close()));
  await server.stop();
  folder.remove();
});

test('the server is killed while a layer skins: its wait goes on over a reload, and a touch is kept until it is there again', async ({
  browser,
}) => {
  const { folder, address, port, runId, contexts, one, two, ...begun } = await onTwoScreens(browser);
  let { server } = begun;
  const path = `/api/runs/${runId}`;
  const isPoured = (now: Run) =>
    now.events.some(({ event }) => event.kind === 'done' && event.taskId === 'r1/A/l1/pour');
  for (let now: Run = (await send(address, 'GET', path)).body; !isPoured(now); )
    now = (
      await send(address, 'POST', `${path}/events`, { eventId: crypto.randomUUID(), event: nextEvent(now) })
    ).body;
  const skin = one.locator('[data-wait="r1/A/skin"]');
  await expect(skin).toContainText(/A skins\s*\d+:\d\d/);
  await server.stop('SIGKILL');
  await one.reload();
  await expect(skin).toContainText(/A skins\s*\d+:\d\d/);
  await skin.click();
  await one.getByRole('button', { name: 'It carries' }).click();
  await expect(skin).toHaveCount(0);
  server = await startServer(folder.path, [], port);
  const last = async () => ((await send(address, 'GET', path)).body as Run).events.at(-1)?.event.kind;
  await expect.poll(last).toBe('touched');
  await expect(two.locator('[data-wait="r1/A/skin"]')).toHaveCount(0);
  await Promise.all(contexts.map((context) => context.close()));
  await server.stop();
  folder.remove();
});
