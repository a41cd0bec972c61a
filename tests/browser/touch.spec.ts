import { expect, test } from '@playwright/test';
import { doseField, given, ownFile, saved, scent } from './workshop';

test('by touch on a tablet: new plan, a dose too high, mend, bench with the keypad, Logbook', async ({
  page,
  request,
}) => {
  // Its own base, mold and scent; the plan is made by touch.
  const { file } = await given(request, ownFile([[scent, '4 %']]));
  const [inBase, inScent] = file.materials;
  await page.goto('/plans', { waitUntil: 'networkidle' });
  await page.getByRole('button', { name: 'New plan' }).tap();
  await page.getByLabel('Name', { exact: true }).fill('Touched');
  await page.getByLabel('Mold', { exact: true }).selectOption(file.mold.id);
  await page.getByLabel('Base', { exact: true }).selectOption(inBase?.id ?? '');
  await page.getByRole('button', { name: 'Begin' }).tap();
  await page.waitForURL(/\/plans\/[0-9a-f-]{36}$/);
  await page.getByLabel('Stays in jug').fill('0');
  await page.getByLabel('Material to add').selectOption(inScent?.id ?? '');
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
  await page.getByText('Good', { exact: true }).tap();
  await page.getByRole('button', { name: 'Into the Logbook' }).tap();
  await page.getByRole('link', { name: 'See it in the Logbook' }).tap();
  await expect(page.getByRole('row', { name: /Base/ }).last()).toContainText('628.1 g');
});

test('everything a finger needs on the plan and the bench is 44 px or more', async ({ page, request }) => {
  const { id } = await given(request, ownFile([[scent, '2 %']]));
  const smallOnes = () =>
    page.locator('main :is(button, input, select):visible').evaluateAll((all) =>
      all
        .filter((each) => !(each as HTMLInputElement).matches('.sr-only, [type=radio]'))
        .map((each) => ({
          box: each.getBoundingClientRect(),
          name: each.getAttribute('aria-label') ?? each.id ?? each.textContent,
        }))
        .filter(({ box }) => box.height < 43.5 || box.width < 43.5)
        .map(({ box, name }) => `${name} ${Math.round(box.width)} x ${Math.round(box.height)}`),
    );
  await page.goto(`/plans/${id}`);
  await expect(page.getByRole('heading', { name: 'Checks' })).toBeVisible();
  expect(await smallOnes()).toEqual([]);
  await page.getByRole('button', { name: 'To the bench' }).tap();
  await page.waitForURL(/\/bench\//);
  await expect(page.getByTestId('target')).toBeVisible();
  expect(await smallOnes()).toEqual([]);
});

test('no view is wider than the tablet, upright or lying', async ({ page, request }) => {
  const { id } = await given(request, ownFile([[scent, '2 %']]));
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
      '/molds',
      '/shelf',
      '/bench',
      '/log',
    ]) {
      await page.goto(path, { waitUntil: 'networkidle' });
      const width = await page.evaluate(() => document.documentElement.scrollWidth);
      expect(width, `${path} at ${size.width}`).toBeLessThanOrEqual(size.width);
    }
  }
});
