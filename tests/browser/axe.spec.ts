import { type APIRequestContext, type Browser, expect, test } from '@playwright/test';
import { additive } from '../support/planFiles';
import { looksRight } from './looksRight';
import { copyOf, given, opened, ownFile, scent } from './workshop';

/** A page by day, and what goes wrong on it. */
async function plainPage(browser: Browser) {
  const context = await browser.newContext();
  const page = await context.newPage();
  const problems: string[] = [];
  page.on('pageerror', (error) => problems.push(error.message));
  page.on('console', (message) => message.type() === 'error' && problems.push(message.text()));
  return { context, page, problems };
}

/** A plan on the bench, and one that has faults. */
async function ownPlans(request: APIRequestContext) {
  const extra = additive({ name: 'Extra', skin: 'unknown' });
  const { id } = await given(
    request,
    ownFile([
      [scent, '2 %'],
      [extra, '6 g'],
    ]),
  );
  const faulty = await given(
    request,
    ownFile([
      [scent, '6 %'],
      [extra, 'some'],
    ]),
  );
  const runId = crypto.randomUUID();
  await request.post('/api/runs', { data: { id: runId, planId: id } });
  return { id, faulty, runId };
}

test('axe finds nothing on any view, by day and by night', async ({ browser, request }) => {
  test.setTimeout(300_000);
  const { context, page, problems } = await plainPage(browser);
  const { id, faulty, runId } = await ownPlans(request);
  const log = (await (await request.get('/api/log')).json())[0].runId;
  for (const path of [
    '/',
    '/plans',
    `/plans/${id}`,
    `/plans/${faulty.id}`,
    `/plans/${id}/sheet`,
    `/plans/${id}/versions`,
    `/plans/${id}/rehearsal`,
    '/molds',
    '/shelf',
    '/shelf?material=bay-rope',
    '/shelf?material=bay-rope&side=lots',
    '/house-rules',
    `/plans/buy?plan=${id}`,
    '/bench',
    `/bench/${runId}`,
    '/bench/practice/too-late',
    '/rack',
    `/rack/${log}?round=1`,
    '/log',
    '/log/knows',
    `/log/${log}`,
    `/log/${log}/sheet`,
    '/products',
    '/products/bare-face',
    '/products/stock',
    '/products/notice',
    '/purchases',
  ]) {
    await opened(page, path);
    await looksRight(page);
  }
  expect(problems).toEqual([]);
  await context.close();
});

test('axe finds nothing in what a view opens to, by day and by night', async ({ browser, request }) => {
  test.setTimeout(300_000);
  const { context, page, problems } = await plainPage(browser);
  const { runId } = await ownPlans(request);
  await opened(page, '/plans');
  await page.getByRole('button', { name: 'New plan' }).click();
  await looksRight(page);
  await opened(page, '/shelf');
  await page.getByRole('button', { name: 'New material' }).click();
  await page.getByLabel('Kind', { exact: true }).selectOption({ label: 'Fragrance' });
  await looksRight(page);
  await opened(page, '/shelf?material=bay-rope&side=lots');
  await page.locator('summary').filter({ hasText: 'B7-12' }).click();
  await page.getByRole('button', { name: 'Count or correct' }).first().click();
  await page.getByRole('button', { name: 'New lot' }).click();
  await looksRight(page);
  await opened(page, '/shelf');
  await page.getByRole('button', { name: 'Bring in a CSV file' }).click();
  await page.getByLabel('File', { exact: true }).setInputFiles({
    name: 'shelf.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('kind,name\nbase,New one\nspoon,Ladle'),
  });
  await looksRight(page);
  await page.getByRole('button', { name: 'Look at the rows' }).click();
  await expect(page.getByRole('row', { name: /Ladle/ })).toBeVisible();
  await looksRight(page);
  await opened(page, '/molds');
  await page.getByRole('button', { name: 'New mold' }).click();
  await looksRight(page);
  await page.getByLabel('Shape inside').selectOption({ label: 'From a model file (STL)' });
  await expect(page.getByRole('region', { name: 'Model file' })).toBeVisible();
  await looksRight(page);
  await opened(page, '/molds');
  await page.getByRole('button', { name: /Dome tray/ }).click();
  await expect(page.getByRole('img', { name: /up to the brim at 35\.0 mm/ })).toBeVisible();
  await looksRight(page);
  await opened(page, '/shelf?material=quay-blue');
  await expect(page.getByRole('group', { name: 'Match a sample' })).toBeVisible();
  await looksRight(page);
  // Everything that a pour can be, open at once.
  await page.goto(`/plans/${await copyOf(request, 'Paper Boats')}`);
  await page.getByRole('tab', { name: /^D/ }).click();
  await page.getByText('How it is poured, what is set in').click();
  await page.getByText('Ombré ladder').click();
  await page
    .getByLabel('The mold stands')
    .selectOption({ label: 'Leaning along its length, right end deep' });
  await page.getByRole('button', { name: 'Fill with cubes or gratings' }).click();
  await page.getByRole('slider', { name: 'Boundary of A and B' }).press('Enter');
  await looksRight(page);
  for (const view of ['Unmolded', 'Face']) {
    await page.getByRole('button', { name: view, exact: true }).click();
    await looksRight(page);
  }
  await opened(page, `/bench/${runId}`);
  await page.getByLabel('On the scale').fill('620');
  await page.getByRole('button', { name: 'Tick', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Melt' })).toBeVisible();
  await looksRight(page);
  await page.getByRole('button', { name: /ticked/ }).click();
  await page.getByRole('button', { name: 'It was another weight' }).click();
  await page.getByRole('button', { name: 'Scale and thermometer' }).click();
  await page.getByLabel('Which scale').selectOption('stand-in');
  await expect(page.getByRole('group', { name: 'Stand-in scale' })).toBeVisible();
  await looksRight(page);
  await page.getByRole('button', { name: /^Room\?/ }).click();
  await looksRight(page);
  expect(problems).toEqual([]);
  await context.close();
});
