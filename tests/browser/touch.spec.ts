import { expect, test } from '@playwright/test';
import { doseField, given, made, opened, ownFile, saved, scent, tooSmallForAFinger } from './workshop';

test('by touch on a tablet: new plan, a dose too high, mend, bench with the keypad, Logbook', async ({
  page,
  request,
}) => {
  // Its own base, mold and scent; the plan is made by touch.
  const { file } = await given(request, ownFile([[scent, '4 %']]));
  const [inBase, inScent] = file.materials;
  await opened(page, '/plans');
  await page.getByRole('button', { name: 'New plan' }).tap();
  await page.getByLabel('Name', { exact: true }).fill('Touched');
  await page.getByLabel('Mold', { exact: true }).selectOption(file.mold.id);
  await page.getByLabel('Base', { exact: true }).selectOption(inBase?.id ?? '');
  await page.getByRole('button', { name: 'Begin' }).tap();
  await page.waitForURL(/\/plans\/[0-9a-f-]{36}$/);
  await page.getByLabel('Stays in jug').fill('0');
  await page.getByLabel('Material to add').fill(inScent?.name ?? '');
  await page.getByRole('button', { name: 'Add', exact: true }).tap();
  await doseField(page, inScent?.name).fill('4 %');
  await page.getByRole('button', { name: 'Bring down to 3 %' }).tap();
  await expect(doseField(page, inScent?.name)).toHaveValue('3 %');
  await saved(page);
  await page.getByRole('button', { name: 'To the bench' }).tap();
  await page.waitForURL(/\/bench\//);

  // 6 x 100 mL; a gram of base with 3 % takes 1/1.05 + 0.03/0.95 = 0.98396 mL: 609.78 g. 3 % more is 628.1 g.
  await expect(page.getByTestId('target')).toHaveText(/609\.8/);
  const press = async (keys: string) => {
    for (const key of keys) await page.getByRole('button', { name: key, exact: true }).tap();
  };
  await press('629');
  await page.getByRole('button', { name: 'Take the last figure back' }).tap();
  await press('8.1');
  await expect(page.getByLabel('On the scale')).toHaveValue('628.1');
  await page.getByRole('button', { name: 'Tick', exact: true }).tap();
  await page.getByRole('button', { name: 'Done' }).tap();
  await expect(page.getByTestId('target')).toHaveText(/18\.8/);
  await press('18.8');
  await page.getByRole('button', { name: 'Tick', exact: true }).tap();
  await page.getByRole('button', { name: 'Done' }).tap();
  await expect(page.getByRole('heading', { name: 'Unmold' })).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).tap();
  await page.getByText('Good', { exact: true }).tap();
  await page.getByRole('button', { name: 'Into the Logbook' }).tap();
  await page.getByRole('link', { name: 'See it in the Logbook' }).tap();
  await expect(
    page
      .getByRole('region', { name: /^Weights/ })
      .getByRole('row', { name: /Base/ })
      .last(),
  ).toContainText('628.1 g');
});

test('everything a finger needs on the plan and the bench is 44 px or more', async ({ page, request }) => {
  const { id } = await given(request, ownFile([[scent, '2 %']]));
  await page.goto(`/plans/${id}`);
  await expect(page.getByRole('heading', { name: 'Checks' })).toBeVisible();
  expect(await tooSmallForAFinger(page)).toEqual([]);
  await page.getByRole('button', { name: 'Try it' }).tap();
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
  expect(await tooSmallForAFinger(page)).toEqual([]);
  await page.goto(`/plans/${id}`);
  await page.getByRole('button', { name: 'To the bench' }).tap();
  await page.waitForURL(/\/bench\//);
  await expect(page.getByTestId('target')).toBeVisible();
  expect(await tooSmallForAFinger(page)).toEqual([]);
});

test('everything a finger needs to say how a pour is poured, in the mold book and to match a colour is 44 px or more', async ({
  page,
  request,
}) => {
  const { id } = await given(request, ownFile([[scent, '2 %']]));
  await page.goto(`/plans/${id}`);
  await page.getByRole('button', { name: 'Pour', exact: true }).tap();
  await page.getByText('How it is poured, what is set in').tap();
  await page.getByRole('button', { name: 'Set pieces in' }).tap();
  await page.getByText('Ombré ladder').tap();
  await expect(page.getByLabel('Palest dose')).toBeVisible();
  expect(await tooSmallForAFinger(page)).toEqual([]);
  await opened(page, '/molds');
  await page.getByRole('button', { name: 'New mold' }).tap();
  await page.getByLabel('Shape inside').selectOption({ label: 'From a model file (STL)' });
  await expect(page.getByLabel('STL file')).toBeVisible();
  expect(await tooSmallForAFinger(page)).toEqual([]);
  await opened(page, '/shelf?material=quay-blue');
  await expect(page.getByRole('group', { name: 'Match a sample' })).toBeVisible();
  expect(await tooSmallForAFinger(page)).toEqual([]);
});

test('no view is wider than the tablet, upright or lying', async ({ page, request }) => {
  const { id } = await given(request, ownFile([[scent, '2 %']]));
  const log = (await (await request.get('/api/log')).json())[0].runId;
  // What is counted out has two keys more than what is weighed.
  const counted = await given(request, ownFile([[scent, '60 drops']]));
  const { id: run } = await made(request, counted.id, 'r1/A/l1/dose-1');
  for (const size of [
    { width: 1024, height: 768 },
    { width: 768, height: 1024 },
  ]) {
    await page.setViewportSize(size);
    for (const path of [
      '/',
      '/plans',
      `/plans/${id}`,
      `/plans/${id}/sheet`,
      `/plans/${id}/rehearsal`,
      '/molds',
      '/shelf',
      '/bench',
      `/bench/${run}`,
      '/rack',
      `/rack/${log}?round=1`,
      '/log',
      '/log/knows',
      `/log/${log}`,
    ]) {
      await opened(page, path);
      const width = await page.evaluate(() => document.documentElement.scrollWidth);
      expect(width, `${path} at ${size.width}`).toBeLessThanOrEqual(size.width);
      // Nor does a plate stand out of the page, or anything out of its plate, but for what scrolls on purpose.
      const cut = await page.evaluate(() =>
        [...document.querySelectorAll('main .plate')]
          .filter(
            (plate) =>
              plate.getBoundingClientRect().right > innerWidth + 1 ||
              (plate.scrollWidth > plate.clientWidth + 1 && getComputedStyle(plate).overflowX === 'visible'),
          )
          .map((plate) => plate.getAttribute('aria-labelledby') ?? plate.textContent?.slice(0, 40)),
      );
      expect(cut, `${path} at ${size.width}`).toEqual([]);
      // What scrolls down does not hide anything at its side.
      const hidden = await page.evaluate(() =>
        [...document.querySelectorAll('main .overflow-y-auto')]
          .filter((each) => each.scrollWidth > each.clientWidth + 1)
          .map((each) => each.textContent?.slice(0, 40)),
      );
      expect(hidden, `${path} at ${size.width}`).toEqual([]);
      if (path.startsWith('/bench/'))
        await expect(page.getByRole('button', { name: 'As planned' })).toBeVisible();
    }
  }
});

test('by touch on a tablet: a lot is entered in spoken units, counted, and a material archived', async ({
  page,
}) => {
  const name = `Touched oil ${process.pid}`;
  await opened(page, '/shelf');
  await page.getByRole('button', { name: 'New material' }).tap();
  await page.getByLabel('Kind', { exact: true }).selectOption({ label: 'Fragrance' });
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Density', { exact: false }).first().fill('0,9');
  await page.getByRole('button', { name: 'Put there' }).tap();
  // The tests share one shelf, which may be longer than a page of its table.
  await page.getByLabel('Search the shelf by name').fill(name);
  await page.getByRole('button', { name, exact: true }).tap();
  await page.getByRole('tab', { name: 'Lots and stock' }).tap();
  await expect(page.getByText('No lot yet, so stock is not counted.')).toBeVisible();
  await page.getByRole('button', { name: 'New lot' }).tap();
  await page.getByRole('button', { name: 'Put the lot there' }).tap();
  await expect(page.getByText('Give it a name.')).toBeVisible();
  await page.getByLabel('Lot number').fill('T-1');
  await page.getByLabel('Amount').fill('2 pebbles');
  await page.getByRole('button', { name: 'Put the lot there' }).tap();
  await expect(page.getByText('Only a number of g goes here')).toBeVisible();
  // 100 mL of 0.90 g/mL.
  await page.getByLabel('Amount').fill('100 mL');
  await page.getByLabel('Price').fill('9,50');
  await page.getByRole('button', { name: 'Put the lot there' }).tap();
  await expect(page.locator('summary').filter({ hasText: 'T-1' })).toContainText('90.0 g');
  await page.locator('summary').filter({ hasText: 'T-1' }).tap();
  await expect(page.getByText('€10.56 / 100 g')).toBeVisible();
  await page.getByRole('button', { name: 'Count or correct' }).tap();
  await page.getByLabel('What happened').selectOption({ label: 'Gone: take this away' });
  await page.getByLabel('Amount, g').fill('91');
  await page.getByRole('button', { name: 'Write it down' }).tap();
  await expect(page.getByRole('alert')).toContainText('takes more than the 90 that is left');
  await page.getByLabel('Amount, g').fill('1 oz');
  await page.getByRole('button', { name: 'Write it down' }).tap();
  await expect(page.locator('summary').filter({ hasText: 'T-1' })).toContainText('61.7 g');

  // It has a lot, so it stays on record and is archived.
  await page.getByRole('tab', { name: 'Record' }).tap();
  await page.getByRole('button', { name: 'Delete' }).tap();
  await page.getByRole('button', { name: 'Yes, delete it' }).tap();
  await page.getByRole('button', { name: 'Archive it' }).tap();
  await expect(page.getByRole('button', { name, exact: true })).toBeHidden();
  await page.getByLabel('with archived ones').check();
  await expect(page.getByRole('row', { name: new RegExp(`${name}.*archived`) })).toContainText('61.7 g');
});

test('everything a finger needs on the shelf and among the house rules is 44 px or more', async ({
  page,
}) => {
  for (const path of [
    '/shelf',
    '/shelf?material=bay-rope',
    '/shelf?material=bay-rope&side=lots',
    '/house-rules',
    '/plans/buy',
  ]) {
    await opened(page, path);
    expect(await tooSmallForAFinger(page), path).toEqual([]);
  }
});
