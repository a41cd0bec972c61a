import { expect, test } from '@playwright/test';
import type { Run, RunEvent } from '../../src/core/run/run';
import { base, mold, planFile } from '../support/planFiles';
import { nextEvent } from '../support/runs';
import { send, startServerWithClock, temporaryFolder } from '../support/server';
import { looksRight } from './looksRight';

const HOUR_MS = 3600_000;
const LOAF = mold({
  id: 'loaf',
  name: 'Loaf',
  cavities: 1,
  capacityMl: 1000,
  shape: { kind: 'box', lengthMm: 200, widthMm: 80, depthMm: 62.5, draftDeg: 0, cornerMm: 0 },
  sliceMm: 25,
});

test('a loaf: poured late, left overnight, cut warm, two bars rejected, faults with a photograph, ends into two jars, wrapped, looked at after two weeks; the next version from its cause, made and compared', async ({
  browser,
}) => {
  test.setTimeout(120_000);
  const folder = temporaryFolder();
  const { server, moveClock } = await startServerWithClock(folder.path);
  const white = base({ id: 'white', name: 'White' });
  const layers = [
    { base: white, size: '30 mm' },
    { base: white, size: 'rest', when: { atC: 54 } },
  ];
  const file = planFile(layers, { name: 'Two Tides', pieces: 8 }, LOAF);
  const { id: planId } = (await send(server.base, 'POST', '/api/plans/import', file)).body;
  let offMs = 0;
  const record = async (run: Run, event: RunEvent): Promise<Run> => {
    const occurredAt = new Date(Date.now() + offMs).toISOString();
    const sent = { eventId: crypto.randomUUID(), occurredAt, event };
    const { status, body } = await send(server.base, 'POST', `/api/runs/${run.id}/events`, sent);
    expect(status).toBeLessThan(300);
    return body;
  };
  /** Ticks what is in hand up to a task; the clock goes on by `waitMs` before the pour of B. */
  async function pour(waitMs: number): Promise<Run> {
    const id = crypto.randomUUID();
    let run: Run = (await send(server.base, 'POST', '/api/runs', { id, planId })).body;
    for (
      let event = nextEvent(run);
      event && 'taskId' in event && event.taskId !== 'r1/unmold';
      event = nextEvent(run)
    ) {
      if (event.kind === 'done' && event.taskId === 'r1/B/l1/pour') {
        await move(waitMs);
        event = { ...event, tempC: 53 };
      }
      run = await record(run, event);
    }
    return run;
  }
  const context = await browser.newContext({ reducedMotion: 'reduce' });
  const page = await context.newPage();
  async function move(byMs: number) {
    offMs += byMs;
    await moveClock(byMs);
    await page.clock.setSystemTime(Date.now() + offMs);
  }

  const run = await pour(3 * HOUR_MS);
  await move(14 * HOUR_MS);
  await page.goto(`${server.base}/rack`);
  const row = page.locator(`[data-run="${run.id}"]`);
  await row.getByRole('button', { name: 'It is out' }).click();
  await row.getByRole('button', { name: 'Still warm' }).click();
  await row.getByRole('link', { name: 'Cut it and say into what' }).click();
  await page.getByRole('button', { name: 'It is cut' }).click();
  const list = page.getByRole('region', { name: 'Cut and set aside' });
  await expect(list).toContainText('1 block into 8');
  for (const [name, massG] of [
    ['White ends', '60'],
    ['Blue ends', '40'],
  ] as const) {
    await page.getByLabel('Weight', { exact: true }).fill(massG);
    await page.getByLabel('Jar', { exact: true }).fill(name);
    await page.getByRole('button', { name: 'It is set aside' }).click();
    await expect(list).toContainText(`into the jar “${name}”`);
  }

  await page.getByRole('button', { name: 'Look at it' }).click();
  await page.getByLabel('Good').fill('6');
  await page.getByLabel('Scrap').fill('2');
  await page.getByRole('button', { name: 'Layers part', exact: true }).click();
  await page.getByRole('button', { name: 'Layers part in B' }).click();
  await page.getByLabel('In two weeks').check();
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('It is written down.')).toBeVisible();
  const png = await page.screenshot();
  await page
    .getByLabel('Photographs to add')
    .setInputFiles({ name: 'bars.png', mimeType: 'image/png', buffer: png });
  await expect(page.getByRole('region', { name: 'Photographs' }).getByRole('img')).toHaveCount(1);
  await looksRight(page, 'a loaf that was looked at');

  await page.goto(`${server.base}/rack`);
  await row.getByRole('button', { name: 'It is wrapped' }).click();
  await expect(row).toHaveAttribute('data-next', 'look-again');
  await expect(row.getByRole('link', { name: 'Look again' })).toHaveClass(/btn-secondary/);
  await record(run, { kind: 'finished', verdict: 'fair', goodPieces: 6, note: '' });
  await move(14 * 24 * HOUR_MS);
  await page.goto(`${server.base}/shelf`);
  await expect(page).toHaveTitle(/^● Two Tides: look again/);
  await page.goto(`${server.base}/rack`);
  await row.getByRole('link', { name: 'Look again' }).click();
  await page.getByRole('textbox', { name: 'A word', exact: true }).fill('No dew, still parts');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByRole('region', { name: 'Seen so far' })).toContainText('No dew, still parts');

  // The cause, with a change that makes the next version, and its reason in it.
  await page.goto(`${server.base}/log/${run.id}`);
  await page.getByText('Temperatures over their forecast').click();
  await expect(page.getByRole('img', { name: /^1 readings? over .* forecast/ })).toBeVisible();
  const causes = page.getByRole('region', { name: 'What could have been the cause' });
  await expect(causes.locator('[data-cause]').first()).toHaveAttribute('data-cause', 'late');
  await causes.getByRole('button', { name: 'Pour B at 57 °C' }).click();
  await expect(causes.getByText('It is in the plan.')).toBeVisible();
  const { plan, version } = (await send(server.base, 'GET', `/api/plans/${planId}`)).body;
  expect([plan.pours[1].when, version]).toEqual([{ atC: 57 }, 2]);
  expect(plan.note).toMatch(/Layers part in batch .+: B was poured late.+Changed for it: Pour B at 57 °C/);

  const second = await pour(0);
  await move(14 * HOUR_MS);
  let again = second;
  for (let event = nextEvent(again); event; event = nextEvent(again)) again = await record(again, event);
  await record(again, { kind: 'finished', verdict: 'good', goodPieces: 8, note: '' });
  await page.reload();
  await page.getByRole('button', { name: 'Side by side' }).click();
  await expect(page.getByRole('row', { name: /^Good pieces/ })).toContainText(/6.*8/);
  await expect(page.getByRole('row', { name: /^Faults/ })).toContainText('Layers part');
  await context.close();
  await server.stop();
  folder.remove();
});
