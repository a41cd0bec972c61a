import { expect, type Page, test } from '@playwright/test';
import { pngOf } from '../support/pictures';
import { BOX, base, fragrance, planFile } from '../support/planFiles';
import { given, opened, saved } from './workshop';

let counted = 0;

/** Two pours in a box of 80 x 50 x 25 mm, 4 mL a millimetre, of a base of 1 g/mL; nothing stays in the jug. */
function twoPours(sizes = ['8 mm', 'rest']) {
  const mark = `${process.pid}-${++counted}`;
  const own = base({
    id: `section-base-${mark}`,
    name: `Section base ${mark}`,
    densityGPerMl: 1,
    look: 'white',
  });
  return planFile(
    sizes.map((size) => ({ size, base: own })),
    { name: `Section ${mark}` },
    { ...BOX, id: `section-mold-${mark}`, name: `Section mold ${mark}` },
  );
}

const boundary = (page: Page) => page.getByRole('slider', { name: 'Boundary of A and B' });

async function drag(page: Page, upMm: number) {
  const line = await boundary(page).locator('polyline').boundingBox();
  const scale = await page
    .getByRole('group', { name: /^Section of one cavity/ })
    .evaluate((svg) => (svg as SVGSVGElement).getScreenCTM()?.a ?? 1);
  if (!line) throw new Error('no boundary');
  const [x, y] = [line.x + line.width / 3, line.y + line.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y - upMm * scale, { steps: 5 });
  await page.mouse.up();
}

test('dragged, moved by keys, typed in the row and typed on the drawing: the same heights are the same sheet', async ({
  page,
  request,
}) => {
  // 11 mm of 4 mL in six cavities are 264 g, the other 14 mm are 336 g.
  const expected = [
    ['264.000000', '11.000000'],
    ['336.000000', '25.000000'],
  ];
  const figures = async (id: string) => {
    const answer = await request.get(`/api/plans/${id}/export`);
    const sheet = await request.post('/api/sheet', { data: await answer.json() });
    const { sheet: told } = (await sheet.json()) as {
      sheet: { pours: { intoMoldG: number; toMm: number }[] };
    };
    return told.pours.map(({ intoMoldG, toMm }) => [intoMoldG.toFixed(6), toMm.toFixed(6)]);
  };
  /** Changed in one of the ways, the plan that is kept has the heights and weights that are expected. */
  const comesTo = async (change: () => Promise<void>) => {
    const { id } = await given(request, twoPours());
    await page.goto(`/plans/${id}`);
    await expect(boundary(page)).toHaveAttribute('aria-valuenow', '8');
    await change();
    await expect(boundary(page)).toHaveAttribute('aria-valuenow', '11');
    // “Saved” may still be that of before the change.
    await expect.poll(() => figures(id)).toEqual(expected);
  };
  await comesTo(() => drag(page, 3.1));
  await comesTo(async () => {
    await boundary(page).focus();
    for (let presses = 0; presses < 3; presses++) await page.keyboard.press('ArrowUp');
  });
  await comesTo(async () => {
    await page.getByRole('tab', { name: /^A/ }).click();
    await page.getByLabel('Size of A', { exact: true }).fill('to 11 mm');
  });
  await comesTo(async () => {
    await boundary(page).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Size of pour A, on the drawing')).toBeFocused();
    await page.keyboard.type('some');
    await expect(page.getByRole('alert').filter({ hasText: 'can’t be read' })).toBeVisible();
    await page.keyboard.press('Control+a');
    await page.keyboard.type('11 mm');
    await page.keyboard.press('Enter');
    await expect(boundary(page)).toBeFocused();
  });
  await comesTo(async () => {
    await boundary(page).dblclick({ position: { x: 40, y: 4 } });
    await page.getByLabel('Size of pour A, on the drawing').fill('11 mm');
    await page.getByRole('button', { name: 'Set', exact: true }).click();
  });
});

test('a boundary is dragged by a finger', async ({ browser, request }) => {
  const { id } = await given(request, twoPours());
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 1024, height: 768 } });
  const page = await context.newPage();
  await page.goto(`/plans/${id}`);
  await expect(boundary(page)).toHaveAttribute('aria-valuenow', '8');
  await boundary(page).scrollIntoViewIfNeeded();
  const line = await boundary(page).locator('polyline').boundingBox();
  const scale = await page
    .getByRole('group', { name: /^Section of one cavity/ })
    .evaluate((svg) => (svg as SVGSVGElement).getScreenCTM()?.a ?? 1);
  if (!line) throw new Error('no boundary');
  const [x, y] = [line.x + line.width / 3, line.y + line.height / 2];
  const finger = await context.newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', upMm = 0) =>
    finger.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: type === 'touchEnd' ? [] : [{ x, y: y - upMm * scale }],
    });
  await touch('touchStart');
  for (const upMm of [1, 2, 3, 4.1]) await touch('touchMove', upMm);
  await touch('touchEnd');
  await expect(boundary(page)).toHaveAttribute('aria-valuenow', '12');
  await expect(page.getByRole('tab', { name: /^A/ })).toHaveText('A · to 12 mm');
  await context.close();
});

test('dragged to whole grams; an Escape leaves a typed size alone', async ({ page, request }) => {
  const { id } = await given(request, twoPours());
  await page.goto(`/plans/${id}`);
  await page.getByLabel('Drag to whole grams').check();
  await drag(page, 2.4);
  const tab = page.getByRole('tab', { name: /^A/ });
  await expect(tab).toHaveText(/^A · \d+ g$/);
  await boundary(page).focus();
  await page.keyboard.press('Enter');
  await page.getByLabel('Size of pour A, on the drawing').fill('2 mm');
  await page.keyboard.press('Escape');
  await expect(page.getByLabel('Size of pour A, on the drawing')).toBeHidden();
  await expect(tab).toHaveText(/^A · \d+ g$/);
});

test('a leaning pour, one beside another and one that is dripped on are drawn, weighed and undone', async ({
  page,
  request,
}) => {
  const { id } = await given(request, twoPours(['8 mm', '6 mm', 'rest']));
  await page.goto(`/plans/${id}`);
  await page.getByRole('tab', { name: /^A/ }).click();
  await page.getByText('How it is poured, what is set in').click();
  await page
    .getByLabel('The mold stands')
    .selectOption({ label: 'Leaning along its length, right end deep' });
  await page.getByLabel('Angle at the bench').fill('70');
  await expect(page.getByRole('alert').filter({ hasText: 'from 0.5 to 60' })).toBeVisible();
  await page.getByLabel('Angle at the bench').fill('11,3');
  await expect(page.getByText(/Leaning like this a cavity holds \d/)).toBeVisible();
  const section = page.getByRole('region', { name: 'Section' });
  await expect(section.getByText('11.3°')).toBeVisible();
  // Across, the slope lies level.
  await section.getByRole('button', { name: /Cut along/ }).click();
  await expect(section.getByText('11.3°')).toBeHidden();
  await page.getByLabel('The mold stands').selectOption({ label: 'Level' });

  await page.getByRole('tab', { name: /^B/ }).click();
  await page
    .getByLabel('It goes', { exact: false })
    .first()
    .selectOption({ label: 'Beside A, both jugs at once' });
  await page.getByLabel('Its share of their room').fill('25');
  // 8 mm of 4 mL: three quarters and one.
  await expect(page.getByText(/8\.0 mm, 8\.00 mL a cavity, 48\.0 g in all/)).toBeVisible();
  await page.getByLabel('It goes', { exact: false }).first().selectOption({ label: 'On top of A' });
  await page.getByLabel('Dripped on A, drawn out by the next').check();
  await expect(section.locator('ellipse')).toHaveCount(9);
  await page.getByText(/notes? on the plan/).click();
  await expect(page.getByText('B may leave pockets of colour')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(section.locator('ellipse')).toHaveCount(0);
});

test('a sample is matched from a photograph, and the plan’s colours are no estimate any more', async ({
  page,
  request,
}) => {
  const dye = `Matched dye ${process.pid}`;
  await opened(page, '/shelf');
  await page.getByRole('button', { name: 'New material' }).click();
  await page.getByLabel('Kind', { exact: true }).selectOption({ label: 'Colorant' });
  await page.getByLabel('Name', { exact: true }).fill(dye);
  await page.getByRole('button', { name: 'Put there' }).click();
  await page.getByLabel('Search the shelf by name').fill(dye);

  const { id } = await given(request, twoPours());
  await page.goto(`/plans/${id}`);
  await page.getByLabel('Material to add').fill(dye);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  const section = page.getByRole('region', { name: 'Section' });
  await expect(section.getByText(`Without the colour of ${dye}`, { exact: false })).toBeVisible();
  await saved(page);

  await opened(page, '/shelf');
  await page.getByLabel('Search the shelf by name').fill(dye);
  await page.getByRole('button', { name: dye, exact: true }).click();
  const panel = page.getByRole('group', { name: 'Match a sample' });
  await panel.getByLabel('Dose, % of base').fill('0,2');
  const photo = panel.getByLabel('Photograph of the sample');
  await photo.setInputFiles({ name: 'bar.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(panel.getByRole('alert')).toContainText('no picture this browser can open');
  await photo.setInputFiles({ name: 'bar.png', mimeType: 'image/png', buffer: pngOf('#7aa2c4', 120, 20) });
  const canvas = panel.getByLabel('Tap the soap in the photograph to take its colour');
  await canvas.click({ position: { x: 60, y: 60 } });
  await expect(panel.getByLabel('It looks like')).toHaveValue('#7aa2c4');
  await panel.getByRole('button', { name: 'Keep it as the matched sample' }).click();
  await expect(page.getByLabel('Matched sample')).toHaveValue(/#7aa2c4 at 0\.2 % in white of 25 mm$/);
  const put = page.waitForResponse((answer) => answer.request().method() === 'PUT');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  expect((await put).status()).toBe(200);

  await page.goto(`/plans/${id}`);
  await page.getByLabel(`Dose of ${dye}`).fill('0.2 %');
  await expect(section.getByText(/Without the colour|an estimate/)).toBeHidden();
  // The pour that holds it, at that very dose, is drawn in that very colour.
  const fills = await section
    .locator('svg path')
    .evaluateAll((all) =>
      all.map((each) => each.getAttribute('fill')).filter((fill) => fill?.startsWith('#7')),
    );
  expect(fills.some((fill) => /^#7[9ab]a[1-3]c[3-5]$/.test(fill ?? ''))).toBe(true);
});

test('a dose of a jug that goes on says what is added to it, or what its pour holds', async ({
  page,
  request,
}) => {
  const file = twoPours(['48 g', 'rest']);
  const scent = fragrance({
    id: `scent-${++counted}-${process.pid}`,
    name: `Scent ${process.pid}-${counted}`,
  });
  const [a, b] = file.plan.pours;
  if (!a || !b) throw new Error('no pours');
  const { id } = await given(request, {
    ...file,
    materials: [...file.materials, scent],
    plan: {
      ...file.plan,
      pours: [
        { ...a, doses: [{ id: 'd1', materialId: scent.id, text: '2 g', means: { kind: 'mass', massG: 2 } }] },
        { ...b, way: { sameJug: true } },
      ],
    },
  });
  await page.goto(`/plans/${id}`);
  await page.getByRole('tab', { name: /^A/ }).click();
  // Two grams go into the jug before A, and a part of them stays for B.
  const parts = page.getByRole('list', { name: `Parts of ${scent.name}` });
  await expect(parts).toContainText('the rest stays in the jug');
  await page.getByRole('button', { name: `${scent.name}, other ways to say it` }).click();
  const says = page.getByLabel(`What the dose of ${scent.name} says`);
  await expect(says).toHaveValue('added');
  await says.selectOption('content');
  await expect(parts).toBeHidden();
  await saved(page);
  await page.reload();
  await page.getByRole('tab', { name: /^A/ }).click();
  await page.getByRole('button', { name: `${scent.name}, other ways to say it` }).click();
  await expect(says).toHaveValue('content');
  await says.selectOption('added');
  await expect(parts).toContainText('the rest stays in the jug');
  // In ounces no gram is left on the tabs.
  await expect(page.getByRole('tab', { name: /^A/ })).toContainText('48 g');
  await saved(page);
  await page.getByRole('button', { name: /weights in ounces/ }).click();
  await expect(page.getByRole('tab', { name: /^A/ })).toContainText('1.69');
  await expect(page.getByRole('tab', { name: /^A/ })).toContainText('oz');
  await page.getByRole('button', { name: /weights in grams/ }).click();
});
