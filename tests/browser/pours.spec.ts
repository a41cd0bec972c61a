import { readFileSync } from 'node:fs';
import { expect, type Page, test } from '@playwright/test';
import { additive, colorant } from '../support/planFiles';
import { doseField, given, ownFile, saved, scent } from './workshop';

test('pours are added, sized in every way, moved and taken out; contradictions are told in millimetres', async ({
  page,
  request,
}) => {
  // A box of 80 x 50 x 25 mm, 100 mL by measure: a millimetre is 4 mL.
  const { id } = await given(request, ownFile([[scent, '2 %']]));
  await page.goto(`/plans/${id}`);
  await page.getByRole('button', { name: 'Pour', exact: true }).click();
  await page.getByRole('button', { name: 'Pour', exact: true }).click();
  const size = page.getByLabel(/^Size of/);
  const tab = (letter: string) => page.getByRole('tab', { name: new RegExp(`^${letter}`) });
  const checks = page.getByRole('region', { name: 'Checks' });

  await tab('A').click();
  await size.fill('8 mm');
  await expect(page.getByText(/8\.0 mm, 32\.0 mL a cavity/)).toBeVisible();
  await tab('B').click();
  await size.fill('to 12 mm');
  await expect(page.getByText(/4\.0 mm, 16\.0 mL a cavity/)).toBeVisible();
  await tab('C').click();
  await size.fill('the rest');
  await expect(page.getByText(/13\.0 mm, 52\.0 mL a cavity/)).toBeVisible();

  for (const [typed, reason] of [
    ['', 'How big is this pour?'],
    ['-3 mm', 'below zero'],
    ['some', 'can’t be read'],
    ['two spoons', 'no size of a pour'],
    ['3 drops', 'no size of a pour'],
    ['1e9 mm', 'no size of a pour'],
  ] as const) {
    await size.fill(typed);
    await expect(page.getByRole('alert').filter({ hasText: reason })).toBeVisible();
  }
  await size.fill('25 mm');
  await expect(checks.getByText('Pour C would run over: 12.0 mm too much')).toBeVisible();
  await expect(page.getByRole('button', { name: 'To the bench' })).toBeDisabled();
  await size.fill('¾ of the fill');
  await expect(checks.getByText(/would run over/)).toBeVisible();
  await size.fill('rest');
  await expect(checks.getByText('Within every limit the shelf knows.')).toBeVisible();

  // The boundary by keyboard: two pours change, the third stays.
  const boundary = page.getByRole('slider', { name: 'Boundary of A and B' });
  await boundary.focus();
  await page.keyboard.press('ArrowUp');
  await expect(boundary).toHaveAttribute('aria-valuenow', '9');
  await page.keyboard.press('ArrowUp');
  await expect(tab('A')).toContainText('to 10 mm');
  await expect(tab('B')).toContainText('to 12 mm');
  await expect(tab('C')).toContainText('rest');

  // And by the pointer, to a whole millimetre.
  const box = await boundary.locator('polyline').boundingBox();
  const scale = await page
    .getByRole('group', { name: /^Section of one cavity/ })
    .evaluate((svg) => (svg as SVGSVGElement).getScreenCTM()?.a ?? 1);
  if (!box) throw new Error('no boundary');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y + 4.2 * scale, { steps: 6 });
  await page.mouse.up();
  await expect(tab('A')).toContainText('to 6 mm');
  await page.keyboard.press('Control+z');
  await expect(tab('A')).not.toContainText('to 6 mm');

  await tab('A').click();
  await size.fill('to 10 mm');
  await tab('B').click();
  await page.getByRole('button', { name: 'Pour B earlier' }).click();
  await expect(tab('A')).toContainText('to 12 mm');
  await expect(page.getByText(/ends below where it begins/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await tab('C').click();
  await page.getByRole('button', { name: 'Take out pour C' }).click();
  await expect(page.getByRole('tab', { name: / · / })).toHaveCount(2);
  await checks.getByText(/notes? on the plan/).click();
  await expect(checks.getByText(/less than the fill/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await saved(page);
  await page.reload();
  await expect(tab('C')).toContainText('rest');
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.waitForURL(/\/bench\//);
  await expect(
    page.getByRole('navigation', { name: 'Tasks' }).getByRole('button', { name: /^C: Pour/ }),
  ).toBeVisible();
});

test('the section flips between mold, bar and face, and is kept as SVG in millimetres and as PNG', async ({
  page,
}) => {
  await page.goto('/plans?q=night+ferry');
  await page.getByRole('link', { name: /Night Ferry/ }).click();
  const panel = page.getByRole('region', { name: 'Section' });
  const saves = async (kind: string) => {
    const download = page.waitForEvent('download');
    await panel.getByRole('button', { name: `${kind}: keep the drawing` }).click();
    const file = await download;
    expect(file.suggestedFilename()).toMatch(new RegExp(`^Night Ferry .*\\.${kind.toLowerCase()}$`));
    return readFileSync((await file.path()) ?? '');
  };
  await panel.getByRole('button', { name: 'Face' }).click();
  // 6 x 90 mL of a half ball of 70 mm: the moon is a disc of 30 mm, the halo one of 45 mm, the dark reaches the rim.
  const circles = panel.getByRole('img', { name: 'The face of the bar, from above' }).locator('circle');
  await expect(circles.first()).toBeVisible();
  const radii = await circles.evaluateAll((all) => [
    ...new Set(all.map((each) => Number(Number(each.getAttribute('r')).toFixed(1)))),
  ]);
  expect(radii).toEqual([35, 22.5, 15]);
  const svg = (await saves('SVG')).toString();
  expect(svg).toContain('width="78mm"');
  expect(svg).not.toContain('class=');
  await panel.getByRole('button', { name: 'Unmolded' }).click();
  await expect(panel.getByRole('img', { name: /The bar unmolded, face up, 70 by 35\.0 mm/ })).toBeVisible();
  const png = await saves('PNG');
  expect(png.subarray(1, 4).toString()).toBe('PNG');
  expect(png.length).toBeGreaterThan(5000);
});

test('a cavity is measured in guided ways, and water steps draw a shape of their own', async ({ page }) => {
  const name = `Jelly mold ${process.pid}`;
  await page.goto('/molds');
  await page.getByRole('button', { name: 'New mold' }).click();
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Cavities').fill('4');
  const measuring = page.getByRole('region', { name: 'Measuring' });
  await measuring.getByLabel('On the scale').fill('4 fl oz');
  await measuring.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(measuring.getByRole('alert')).toContainText('doesn’t fit here');
  await measuring.getByLabel('On the scale').fill('60 g');
  await measuring.getByRole('button', { name: 'Add', exact: true }).click();
  await measuring.getByLabel('How').selectOption({ label: 'Water, by the measuring jug' });
  await measuring.getByLabel('In one cavity').fill('2.1 fl oz');
  await measuring.getByLabel('In one cavity').press('Enter');
  // 60 and 62.10 mL: 61.05 mL, 3.45 % apart.
  await expect(measuring.getByText('from 2, 3.45 % apart')).toBeVisible();
  await expect(page.getByLabel(/^One cavity holds/)).toHaveValue('61.05');
  await measuring.getByLabel('How').selectOption({ label: 'Melted base, weighed' });
  await measuring.getByLabel('Of which base').selectOption('glaze');
  await measuring.getByLabel('On the scale').fill('70 g');
  await measuring.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(measuring.getByText('Two ways disagree by more than 5 %:')).toBeVisible();
  // 70 g of a base taken for 1.06 g/mL in 61.05 mL: 1.147 g/mL.
  await measuring.getByLabel('Weighed with').selectOption('glaze');
  await expect(measuring.getByText('1.147 g/mL')).toBeVisible();
  await expect(measuring.getByRole('link', { name: 'Put it right on the Shelf' })).toHaveAttribute(
    'href',
    '/shelf?material=glaze',
  );
  await measuring.getByRole('button', { name: 'Use it: Water, by weight or jug' }).click();
  await expect(page.getByLabel(/^One cavity holds/)).toHaveValue('61.05');

  await page.getByLabel('Shape inside').selectOption({ label: 'Measured in steps of water' });
  await page.getByLabel('Water steps').fill('20 6; 15 11');
  await page.getByRole('button', { name: 'Put there' }).click();
  await expect(page.getByText('must rise in height and in volume')).toBeVisible();
  await page.getByLabel('Water steps').fill('10 mL 6 mm; 30 mL 12 mm; 61 mL 20 mm');
  await expect(page.getByText(/By its water steps a cavity holds 61\.0 mL/)).toBeVisible();
  await page.getByRole('button', { name: 'Put there' }).click();
  await page.getByRole('button', { name: new RegExp(name) }).click();
  await expect(page.getByLabel('Water steps')).toHaveValue('10 6; 30 12; 61 20');
});

test('petals half stirred in and half on the floor: weighed into a dish, laid before the pour, taken off the shelf', async ({
  page,
  request,
}) => {
  const petals = additive({ name: 'Petals', role: 'botanical' });
  const { id, file } = await given(
    request,
    ownFile([
      [petals, '6 g'],
      [petals, '2 %'],
    ]),
  );
  const name = file.materials[1]?.name ?? '';
  await page.goto(`/plans/${id}`);
  const row = page.getByRole('row', { name: new RegExp(name) }).nth(1);
  const totals = page.getByRole('region', { name: 'Totals' });
  await row.getByRole('button', { name: /other ways to say it/ }).click();
  await page.getByLabel(`Where ${name} goes`).selectOption('under');
  // A share of the base that it goes into no more: what it came to is its amount.
  await expect(doseField(page, name).nth(1)).toHaveValue(/^1\d\.\d g$/);
  await expect(row).toContainText('on the floor');
  await doseField(page, name).nth(1).fill('1 g/piece');
  await expect(totals).toContainText('Laid on or under6.00 g');
  await expect(page.getByRole('region', { name: 'Checks' })).toContainText('dry ones only, and they float');
  await page.getByLabel('pressed down').check();
  await doseField(page, name).nth(1).fill('2 %');
  await expect(page.getByRole('region', { name: 'Checks' })).toContainText('laid on, it needs an amount');
  await doseField(page, name).nth(1).fill('1 g/piece');
  await saved(page);

  await page.getByText('How it is poured, what is set in').click();
  await page.getByLabel(/^Told when A is poured/).fill('Press the lace into its face');
  await saved(page);
  await page.getByRole('button', { name: 'As a list' }).click();
  await expect(page.getByText(/Press the lace into its face\./)).toBeVisible();
  await expect(
    page.getByText(/Lay 6\.00 g .* on the floor of the mold, evenly over the cavities/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.waitForURL(/\/bench\//);
  const scale = page.getByLabel('On the scale');
  const tick = page.getByRole('button', { name: 'Tick', exact: true });
  await scale.fill('600');
  await tick.click();
  await page.getByRole('button', { name: 'Done' }).click();
  // Stirred in, it follows the base on the scale; laid, it does not.
  await scale.fill(await target(page));
  await tick.click();
  await expect(page.getByRole('heading', { name: /into the dish/ })).toBeVisible();
  await expect(page.getByTestId('target')).toHaveText('6.00 g');
  await scale.fill('6');
  await tick.click();
  await expect(page.getByRole('heading', { name: `Lay ${name}` })).toBeVisible();
  await expect(page.getByText(/Press it down lightly/)).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('heading', { name: 'Pour' })).toBeVisible();
  await expect(page.getByText(/Press the lace into its face\./)).toBeVisible();
});

test('an amount for a jug, of which little is poured: the least is melted, and the rest goes into the spare mold', async ({
  page,
  request,
}) => {
  const ink = colorant({ name: 'Ink', densityGPerMl: 1 });
  const { id, file } = await given(request, ownFile([[ink, '5 g']], { pieces: 1, leastMeltG: 0 }));
  const name = file.materials[1]?.name ?? '';
  await page.goto('/house-rules');
  await page.getByLabel('What is left over goes into').selectOption({ label: file.mold.name });
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.goto(`/plans/${id}`);
  const checks = page.getByRole('region', { name: 'Checks' });
  const totals = page.getByRole('region', { name: 'Totals' });
  await page.getByRole('button', { name: 'Pour', exact: true }).click();
  await page.getByRole('tab', { name: /^A/ }).click();
  await page.getByLabel('Size of A').fill('4 g');
  await expect(checks).toContainText('No room left for base');
  await checks.getByRole('button', { name: 'Melt 60.0 g' }).click();
  const row = page.getByRole('row', { name: new RegExp(name) }).first();
  await expect(row).toContainText('5.00');
  // 5 g in 60 g of base.
  await expect(row).toContainText('8.33 %');
  await expect(totals).toContainText(
    new RegExp(
      `cut 60\\.0 g, the least that melts well, .*6\\d\\.\\d g left over with its doses: one to 58 % of ${file.mold.name}`,
    ),
  );
  await page.getByRole('button', { name: 'Room & time' }).click();
  const least = page.getByLabel('A jug melts at least');
  await expect(least).toHaveValue('60');
  await least.fill('-5');
  await expect(page.getByText(/A jug melts at least.*0.*5000/)).toBeVisible();
  await least.fill('120');
  await expect(totals).toContainText('cut 120.0 g');
  await saved(page);
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.waitForURL(/\/bench\//);
  const tasks = page.getByRole('navigation', { name: 'Tasks' });
  await tasks
    .getByRole('button', { name: /^A: .*Base|A: Base/ })
    .first()
    .click();
  await expect(page.getByText(/of it is poured\. Less than 120\.0 g does not melt well/)).toBeVisible();
  await page.goto('/house-rules');
  await page.getByLabel('What is left over goes into').selectOption('the scrap jar');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
});

async function target(page: Page): Promise<string> {
  return /[\d.]+/.exec((await page.getByTestId('target').textContent()) ?? '')?.[0] ?? '';
}
