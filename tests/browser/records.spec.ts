import { expect, test } from '@playwright/test';
import { allDrawn, given, opened, ownFile, scent } from './workshop';

test('a material from an empty form to a changed limit that a plan sees', async ({ page, request }) => {
  const { id, file } = await given(request, ownFile([[scent, '2 %']]));
  const name = file.materials[1]?.name ?? '';
  await opened(page, '/shelf');
  await page.getByLabel('Search the shelf by name').fill(name);
  await page.getByRole('button', { name }).click();
  const limit = page.getByLabel('Supplier’s limit, % of product');
  for (const [typed, reason] of [
    ['-1', 'Must be from 0 to 100 %.'],
    ['101', 'Must be from 0 to 100 %.'],
    ['lots', 'Only a number of %'],
    ['1,250', 'Could be'],
  ] as const) {
    await limit.fill(typed);
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText(reason);
  }
  await limit.fill('1,5');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('row', { name })).toContainText('1.5 %');
  await page.goto(`/plans/${id}`);
  await expect(page.getByText(`${name} 1.96 % of product, limit 1.5 %`)).toBeVisible();
});

test('what a material is comes first, can change while nothing uses it, and a name twice is asked about', async ({
  page,
}) => {
  const name = `Sedge ${crypto.randomUUID().slice(0, 8)}`;
  await opened(page, '/shelf');
  for (const [kind, isThere] of [
    ['Fragrance', false],
    ['Additive', true],
  ] as const) {
    await page.getByRole('button', { name: 'New material' }).click();
    await page.getByRole('button', { name: 'Put there' }).click();
    await expect(page.getByRole('alert')).toHaveText('Choose what it is.');
    await expect(page.getByLabel('Name', { exact: true })).toBeHidden();
    await page.getByLabel('Kind', { exact: true }).selectOption({ label: kind });
    await page.getByLabel('Name', { exact: true }).fill(isThere ? name.toUpperCase() : name);
    await page.getByRole('button', { name: 'Put there' }).click();
    if (isThere) {
      await expect(page.getByRole('alert')).toContainText(`“${name}” is on the shelf already, as fragrance.`);
      await page.getByRole('link', { name: 'Open it' }).click();
    } else await expect(page.getByRole('heading', { name: 'New material' })).toBeHidden();
  }
  await expect(page.getByRole('heading', { name })).toBeVisible();
  await page.getByLabel('Kind', { exact: true }).selectOption({ label: 'Dispersant' });
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await page.getByLabel('Search the shelf by name').fill(name);
  await expect(page.getByRole('row', { name })).toContainText('Dispersant');
});

test('a mold is entered, drawn to scale, and told when capacity and dimensions disagree', async ({
  page,
}) => {
  await opened(page, '/molds');
  await page.getByRole('button', { name: 'New mold' }).click();
  await page.getByRole('button', { name: 'Put there' }).click();
  await expect(page.getByText('Give it a name.')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Deep round');
  await page.getByLabel('Cavities').fill('4');
  await page.getByLabel('One cavity holds, mL').fill('100');
  await page.getByLabel('Shape inside').selectOption('Cylinder');
  await page.getByRole('button', { name: 'Put there' }).click();
  await expect(page.getByText('Write a number from 1 to 2000 mm.')).toHaveCount(2);
  await page.getByLabel('Diameter, mm').fill('60');
  await page.getByLabel('Depth, mm').fill('35');
  // π · 30² · 35 = 98 960 mm³
  await expect(page.getByText('By its dimensions a cavity holds 99.0 mL.')).toBeVisible();
  await page.getByLabel('Depth, mm').fill('45');
  await expect(page.getByText('27.23 % more than entered')).toBeVisible();
  await page.getByLabel('Depth, mm').fill('35');
  await page.getByRole('button', { name: 'Put there' }).click();
  await expect(page.getByRole('button', { name: /Deep round/ })).toContainText('4 × 100.0 mL');
});

test('the section is true to scale: what it draws measures what the sheet says', async ({
  page,
  request,
}) => {
  const { id } = await given(request, ownFile([[scent, '2 %']], { fillFraction: 0.8 }));
  await page.goto(`/plans/${id}`);
  const section = page.getByRole('img', { name: 'Section of one cavity, 80 by 25 mm, filled to 20.0 mm' });
  await expect(section).toBeVisible();
  // The drawn geometry, without its lines, in screen pixels: the same pixels a millimetre both ways.
  const layer = await section
    .locator('g path')
    .first()
    .evaluate((path: SVGGraphicsElement) => {
      const { a, d } = path.getScreenCTM() ?? { a: 0, d: 0 };
      const box = path.getBBox();
      return { width: box.width * a, height: box.height * d, pixelsPerMm: a };
    });
  expect(layer.width / layer.pixelsPerMm).toBeCloseTo(80, 3);
  expect(layer.height / layer.pixelsPerMm).toBeCloseTo(20, 3);
});

test('a mold saved in two tabs: the second sees what differs and keeps its own', async ({ context }) => {
  const [one, two] = [await context.newPage(), await context.newPage()];
  for (const page of [one, two]) {
    await opened(page, '/molds');
    await page.getByRole('button', { name: /Slab bar tray/ }).click();
  }
  await one.getByLabel('Note').fill('One');
  await one.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(one.getByRole('button', { name: 'Save', exact: true })).toBeHidden();
  await two.getByLabel('Note').fill('Two');
  await two.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(two.getByText('note: mine Two, theirs One')).toBeVisible();
  await two.getByRole('button', { name: 'Keep mine' }).click();
  await expect(two.getByRole('button', { name: 'Save', exact: true })).toBeHidden();
});

test('weights switch between grams and ounces, and day and night are remembered', async ({
  page,
  request,
}) => {
  const { id } = await given(request, ownFile([[scent, '2 %']]));
  await page.goto(`/plans/${id}`);
  await expect(page.getByText('104.8 g')).toBeVisible();
  await page.getByRole('button', { name: /weights in ounces/ }).click();
  await expect(page.getByText('3.70 oz')).toBeVisible();
  await page.getByRole('button', { name: 'Night colours' }).click();
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'enamel-night');
});

test('a drop is measured from the finding that misses it, twice, and the plan uses it', async ({
  page,
  request,
}) => {
  const { id, file } = await given(request, ownFile([[scent, '40 drops']]));
  const name = file.materials[1]?.name ?? '';
  await page.goto(`/plans/${id}`);
  // 40 usual drops of 0.05 mL and 0.95 g/mL are 1.90 g.
  await expect(page.getByRole('row', { name: /Scent/ })).toContainText('1.90');
  await page.getByText('Figures not known: 1 material').click();
  await expect(page.getByText(`${name}: usual size of a drop assumed`)).toBeVisible();
  await page.getByRole('link', { name: 'Enter it on the shelf' }).click();
  await allDrawn(page);
  const readings = page.getByRole('region', { name: 'Measured on the scale' });
  for (const [count, mass, reason] of [
    ['', '0.6', 'How many drops: Write a whole number'],
    ['2,5', '0.6', 'Must be a whole number'],
    ['20', '', 'On the scale: Nothing typed yet'],
    ['20', '-1', 'below zero'],
    ['20', '0', 'nothing was weighed'],
  ] as const) {
    await readings.getByLabel('How many drops').fill(count);
    await readings.getByLabel('On the scale, g').fill(mass);
    await readings.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(readings.getByRole('alert')).toContainText(reason);
  }
  await readings.getByLabel('On the scale, g').fill('0,60');
  await readings.getByRole('button', { name: 'Add', exact: true }).click();
  await readings.getByLabel('On the scale, g').fill('0.64');
  await readings.getByLabel('On the scale, g').press('Enter');
  // 1.24 g in 40 drops; single ratios 0.030 and 0.032 deviate by 0.0014142 from their mean of 0.031.
  await expect(readings.getByText('0.031 g a drop from 2 readings, ± 4.56 % between them')).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Save', exact: true })).toBeHidden();
  await page.goto(`/plans/${id}`);
  await expect(page.getByRole('row', { name: /Scent/ })).toContainText('1.24');
  await expect(page.getByText('Within every limit the shelf knows.')).toBeVisible();
});
