import { expect, test } from '@playwright/test';
import { additive } from '../support/planFiles';
import { doseField, given, opened, ownFile, saved, scent } from './workshop';

const extra = additive({ name: 'Extra' });

test('a usual plan fits 1280x800 without scrolling, and every key shows everywhere at once', async ({
  page,
  request,
}) => {
  const { id, file } = await given(
    request,
    ownFile([
      [scent, '2 %'],
      [extra, '6 g'],
    ]),
  );
  await page.addInitScript(() => {
    Object.assign(window, { shifted: 0 });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as (PerformanceEntry & { value: number })[])
        Object.assign(window, { shifted: (window as unknown as { shifted: number }).shifted + entry.value });
    }).observe({ type: 'layout-shift', buffered: true });
  });
  await page.goto(`/plans/${id}`);
  const field = doseField(page, file.materials[1]?.name);
  await expect(field).toBeVisible();
  await expect(page.getByRole('group', { name: 'The pour plan to scale' })).toBeVisible();
  // Web Vitals call 0.1 good; ours is a tenth of it.
  const shifted = await page.evaluate(() => (window as unknown as { shifted: number }).shifted);
  expect(shifted).toBeLessThan(0.01);
  const overflow = await page.evaluate(() => document.documentElement.scrollHeight - innerHeight);
  expect(overflow).toBeLessThanOrEqual(0);
  for (const [typed, ofProduct] of [
    ['1 %', '0.98 %'],
    ['1½ %', '1.46 %'],
    ['1,5 %', '1.46 %'],
  ] as const) {
    await field.fill(typed);
    await expect(page.getByRole('row', { name: /Scent/ })).toContainText(ofProduct);
  }
  await field.fill('0.27 oz');
  await expect(page.getByRole('row', { name: /Scent/ })).toContainText('7.65');
});

test('with two meanings both are offered, counts stay counts, and what was accepted stays away until its figures change', async ({
  page,
  request,
}) => {
  const { id, file } = await given(request, ownFile([[scent, '50:1']]));
  const name = file.materials[1]?.name;
  await page.goto(`/plans/${id}`);
  await page.getByRole('button', { name: '1:50', exact: true }).click();
  const row = page.getByRole('row', { name: /Scent/ });
  await expect(row).toContainText('2 %');
  await doseField(page, name).fill('6–9 drops');
  // Six drops of 0.05 mL and 0.95 g/mL are 0.285 g.
  await expect(row).toContainText('6 drops');
  await expect(row).toContainText('0.29');
  await doseField(page, name).fill('half a teaspoon per pound');
  await expect(row).toContainText('¾ tsp');

  await doseField(page, name).fill('0.1 %');
  const checks = page.getByRole('region', { name: 'Checks' });
  await checks.getByText(/notes? on how it will look/).click();
  await checks.getByRole('button', { name: /^Mark as seen: .*works from/ }).click();
  await expect(checks.getByText(/on how it will look/)).toBeHidden();
  await saved(page);
  await page.reload();
  await expect(checks.getByRole('button', { name: '1 marked as seen: show' })).toBeVisible();
  await doseField(page, name).fill('0.2 %');
  await expect(checks.getByText(/on how it will look/)).toBeVisible();
});

test('a dose that cannot be read says what and how, stays as typed, and survives a reload', async ({
  page,
  request,
}) => {
  const { id, file } = await given(request, ownFile([[scent, '2 %']]));
  const name = file.materials[1]?.name;
  await page.goto(`/plans/${id}`);
  for (const [typed, reason] of [
    ['', 'Nothing typed yet'],
    ['2,5', 'has no unit'],
    ['½', 'has no unit'],
    ['-1 %', 'below zero'],
    ['1e400', 'no unit that is known'],
    ['NaN', 'doesn’t start with a number'],
    ['3-2 %', 'is a range'],
    ['a splash', 'comes out alike twice'],
    ['max 2 %', 'is a limit'],
    ['<img src=x onerror=alert(1)>', 'doesn’t start with a number'],
    ['9'.repeat(10_000), 'characters are too many'],
  ] as const) {
    await doseField(page, name).fill(typed);
    await expect(page.getByRole('alert')).toContainText(reason);
    await expect(page.getByRole('button', { name: 'To the bench' })).toBeDisabled();
  }
  await doseField(page, name).fill('2 spoonfuls');
  await saved(page);
  await page.reload();
  await expect(doseField(page, name)).toHaveValue('2 spoonfuls');
  await expect(page.getByText(`${name}: dose can’t be read`)).toBeVisible();
});

test('fields of the plan bar refuse what they cannot be, keep it in sight, and hold the last good value', async ({
  page,
  request,
}) => {
  const { id } = await given(request, ownFile([[scent, '2 %']]));
  await page.goto(`/plans/${id}`);
  for (const [label, bad] of [
    ['Pieces', ['', '0', '-1', '2,5', '½', '1e400', 'NaN', '999999999', '<b>', '12 pieces of soap']],
    ['Fill', ['', '0', '101', '-5', 'full', '1,250']],
    ['Stays in jug', ['', '51', '-1', 'x']],
  ] as const) {
    const field = page.getByLabel(label, { exact: true });
    const before = await field.inputValue();
    for (const text of bad) {
      await field.fill(text);
      await expect(field).toHaveAttribute('aria-invalid', 'true');
      await expect(field).toHaveValue(text);
    }
    await expect(page.getByText('6 pieces of')).toBeVisible();
    await field.fill(before);
    await expect(field).toHaveAttribute('aria-invalid', 'false');
  }
  await page.getByLabel('Plan', { exact: true }).fill('');
  await expect(page.getByText('A plan needs a name.')).toBeVisible();
});

test('turned round: pieces from the base on hand, fill from a wanted weight', async ({ page, request }) => {
  const { id } = await given(request, ownFile([[scent, '2 %']]));
  await page.goto(`/plans/${id}`);
  // 100 mL a piece needs 100 / (1/1.05 + 0.02/0.95) = 102.73 g of base: 900 g make 8.
  await page.getByText('Work backwards').click();
  await page.getByLabel(/on hand, g/).fill('900');
  await expect(page.getByText('makes 8 pieces')).toBeVisible();
  await page.getByRole('button', { name: 'Use this', exact: true }).first().click();
  await expect(page.getByLabel('Pieces', { exact: true })).toHaveValue('8');
  // A full piece weighs 104.78 g.
  await page.getByLabel('Wanted weight a piece, g').fill('120');
  await expect(page.getByText('the cavity holds 104.8 g at the most')).toBeVisible();
  await page.getByLabel('Wanted weight a piece, g').fill('95');
  await expect(page.getByText('fills to 90.66 %')).toBeVisible();
  await page.getByRole('button', { name: 'Use this' }).last().click();
  await expect(page.getByText('95.0 g')).toBeVisible();
});

test('fixed doses are not silently thinned when the pieces change', async ({ page, request }) => {
  const { id, file } = await given(request, ownFile([[extra, '6 g']]));
  const name = file.materials[1]?.name;
  await page.goto(`/plans/${id}`);
  await page.getByLabel('Pieces', { exact: true }).fill('12');
  await expect(page.getByText('6 g is still as typed for 6 pieces.')).toBeVisible();
  await page.getByRole('button', { name: 'Scale to 12' }).click();
  await expect(doseField(page, name)).toHaveValue('12 g');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(doseField(page, name)).toHaveValue('6 g');
});

test('so much base is shared out: whole pieces and one of what is left, or evenly; parts of a lot; and back to pieces', async ({
  page,
  request,
}) => {
  const { id, file } = await given(request, ownFile([[extra, '6 g']]));
  const itsExtra = file.materials[1];
  const { plan } = await (await request.get(`/api/plans/${id}`)).json();
  const lot = {
    item: { kind: 'material', id: plan.pours[0].baseId },
    number: 'LT-0914',
    boughtOn: '2026-01-05',
    price: '4',
    discountFraction: 0,
    amount: 1200,
    bestBefore: null,
    openedOn: null,
    note: '',
  };
  expect((await request.post('/api/lots', { data: lot })).status()).toBe(201);
  await page.goto(`/plans/${id}`);
  const totals = page.getByRole('region', { name: 'Totals' });
  await page.getByRole('combobox', { name: 'How much by', exact: true }).selectOption('base');
  const weight = page.getByLabel('Base, g', { exact: true });
  // 1.05 g/mL of base and 1.1 of the addition, in cavities of 100 mL: 6 g stand for 5.4545 mL of 600.
  await expect(weight).toHaveValue('624.3 g');
  // Key by key: what is typed is not written anew under the hand.
  await weight.press('ControlOrMeta+a');
  await weight.pressSequentially('700');
  await expect(weight).toHaveValue('700');
  await expect(page.getByText('6 g is still as typed for 624 g.')).toBeHidden();
  await expect(totals).toContainText('6 pieces of');
  await expect(totals).toContainText('and one of');
  await totals.getByRole('button', { name: /^Or all 7 to 96 %, 100.9 g each$/ }).click();
  await expect(totals).toContainText('7 pieces of 100.9 g');
  await expect(totals).toContainText('filled to 96 %');
  await page.getByLabel('Pieces', { exact: true }).fill('5');
  const checks = page.getByRole('region', { name: 'Checks' });
  await expect(checks).toContainText('700.0 g of base is more than 5 pieces hold');
  await checks.getByRole('button', { name: 'Make as many as it gives' }).click();
  await expect(totals).toContainText('and one of');

  for (const [typed, reason] of [
    ['', 'or a part of a lot'],
    ['half the blok', 'or a part of a lot'],
    ['-5 g', 'can’t be below zero'],
    ['0.2', 'Must be from 1.00 g to 1000 kg.'],
    ['all of XX-1', `This base has no lot “XX-1”; there is LT-0914.`],
    ['two blocks', 'more than all of the lot'],
    ['constructor', 'or a part of a lot'],
  ] as const) {
    await weight.fill(typed);
    await expect(page.getByRole('alert').filter({ hasText: reason })).toBeVisible();
    await expect(totals).toContainText('700.0 g');
  }
  await weight.fill('half the block');
  await expect(totals).toContainText('600.0 g');
  await expect(doseField(page, itsExtra?.name)).toHaveValue('6 g');
  await page
    .getByRole('button', { name: 'Scale to 600 g' })
    .or(page.getByRole('button', { name: 'Scale to 600.0 g' }))
    .click();
  await saved(page);
  await page.reload();
  await expect(weight).toHaveValue('half the block');
  await page.getByRole('combobox', { name: 'How much by', exact: true }).selectOption('pieces');
  await expect(page.getByLabel('Pieces', { exact: true })).toHaveValue('6');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(weight).toHaveValue('half the block');
});

test('two tabs: the second save is told what changed, and each way on loses nothing', async ({
  context,
  request,
}) => {
  for (const way of ['Keep mine', 'Take theirs', 'Save mine as a copy'] as const) {
    const { id, file } = await given(request, ownFile([[scent, '2 %']]));
    const name = file.materials[1]?.name;
    const [one, two] = [await context.newPage(), await context.newPage()];
    for (const page of [one, two]) {
      await page.goto(`/plans/${id}`);
      await expect(doseField(page, name)).toBeVisible();
    }
    await doseField(one, name).fill('1 %');
    await saved(one);
    await doseField(two, name).fill('2.5 %');
    const dialog = two.getByRole('dialog', { name: 'This plan was also changed elsewhere' });
    await expect(dialog).toBeVisible();
    await expect(dialog.getByRole('row', { name: /dose 1/ })).toContainText(/2\.5 %.*1 %/s);
    await dialog.getByRole('button', { name: way }).click();
    if (way === 'Save mine as a copy') await two.waitForURL((url) => !url.pathname.endsWith(id));
    await saved(two);
    const text = async (planId: string) =>
      (await (await request.get(`/api/plans/${planId}`)).json()).plan.pours[0].doses[0].text;
    if (way === 'Keep mine') expect(await text(id)).toBe('2.5 %');
    else expect(await text(id)).toBe('1 %');
    if (way === 'Take theirs') await expect(doseField(two, name)).toHaveValue('1 %');
    if (way === 'Save mine as a copy') expect(await text(two.url().split('/').at(-1) ?? '')).toBe('2.5 %');
    await one.close();
    await two.close();
  }
});

test('while the server does not answer, the plan waits in the browser and is saved later', async ({
  page,
  request,
}) => {
  const { id, file } = await given(request, ownFile([[scent, '2 %']]));
  const name = file.materials[1]?.name;
  await page.goto(`/plans/${id}`);
  await expect(doseField(page, name)).toBeVisible();
  await page.route('**/api/plans/**', (route) => route.abort());
  await doseField(page, name).fill('1.7 %');
  await expect(page.getByText('Not saved', { exact: true })).toBeVisible();
  await page.unroute('**/api/plans/**');
  await page.route('**/api/plans/**', (route) => route.abort());
  await page.reload();
  await expect(doseField(page, name)).toHaveValue('1.7 %');
  await page.unroute('**/api/plans/**');
  await saved(page);
  const kept = await (await request.get(`/api/plans/${id}`)).json();
  expect(kept.plan.pours[0].doses[0].text).toBe('1.7 %');

  // A draft whose plan was changed elsewhere meanwhile is offered beside it, and writes over nothing.
  await page.route('**/api/plans/**', (route) => route.abort());
  await doseField(page, name).fill('1.9 %');
  await expect(page.getByText('Not saved', { exact: true })).toBeVisible();
  const elsewhere = { ...kept.plan, note: 'From elsewhere' };
  const { revision } = kept;
  expect((await request.put(`/api/plans/${id}`, { data: { plan: elsewhere, revision } })).status()).toBe(200);
  await page.reload();
  await page.unroute('**/api/plans/**');
  const dialog = page.getByRole('dialog', { name: 'This plan was also changed elsewhere' });
  await expect(dialog.getByRole('row', { name: /dose 1/ })).toContainText(/1\.9 %.*1\.7 %/s);
  await expect(dialog.getByRole('row', { name: /Note/ })).toContainText('From elsewhere');
  expect((await (await request.get(`/api/plans/${id}`)).json()).plan).toEqual(elsewhere);
  await dialog.getByRole('button', { name: 'Take theirs' }).click();
  await expect(doseField(page, name)).toHaveValue('1.7 %');
});

test('a plan that a run has used gets a new version, and the old one stays readable', async ({
  page,
  request,
}) => {
  const { id, file } = await given(request, ownFile([[scent, '2 %']]));
  const name = file.materials[1]?.name;
  await request.post('/api/runs', { data: { id: crypto.randomUUID(), planId: id } });
  await page.goto(`/plans/${id}`);
  await doseField(page, name).fill('1.2 %');
  await page.getByRole('link', { name: 'Version 2' }).click();
  await page.getByRole('link', { name: /Version 1/ }).click();
  await expect(page.getByRole('row', { name: new RegExp(`☐.*${name}`) })).toContainText('2 %');
  await expect(page.getByText('An older version')).toBeVisible();
});

test('the bench sheet prints on one page, A4 and Letter, with twelve materials and cautions', async ({
  page,
  request,
}) => {
  const many = Array.from({ length: 12 }, (_, n): [typeof extra, string] => [
    { ...extra, id: `extra-${n}`, name: `Material number ${n}`, skin: n < 3 ? 'unknown' : 'released' },
    '0.5 %',
  ]);
  const { id } = await given(request, ownFile(many, { note: 'Stir for a minute.\nPour slowly.' }));
  await page.goto(`/plans/${id}/sheet`);
  for (const format of ['A4', 'Letter']) {
    const pdf = (await page.pdf({ format })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b(?!s)/g)?.length, format).toBe(1);
  }
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByText('Hot base burns and sticks')).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
});

test('duplicate and plan file: out, and in again through the page', async ({ page, request }, info) => {
  const { id, file } = await given(request, ownFile([[scent, '2 %']]));
  await page.goto(`/plans/${id}`);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file' }).click();
  const path = info.outputPath('out.plan.json');
  await (await download).saveAs(path);
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(page.getByLabel('Plan', { exact: true })).toHaveValue(`${file.plan.name} (copy)`);
  await page.goto('/plans');
  await page.getByLabel('Plan file').setInputFiles(path);
  await page.waitForURL(/\/plans\/[0-9a-f-]{36}$/);
  await expect(page.getByLabel('Plan', { exact: true })).toHaveValue(file.plan.name);
  await page.goto('/plans');
  const bad = {
    name: 'bad.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"idle-tallow/plan"}'),
  };
  await page.getByLabel('Plan file').setInputFiles(bad);
  await expect(page.getByRole('alert')).toContainText('version is missing');
});

test('a double press begins one plan', async ({ page }) => {
  await opened(page, '/plans');
  await page.getByRole('button', { name: 'New plan' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText('Give it a name.')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Pressed twice');
  await page.getByRole('button', { name: 'Begin' }).dblclick();
  await page.waitForURL(/\/plans\/[0-9a-f-]{36}$/);
  await page.goto('/plans');
  await expect(page.getByText('Pressed twice', { exact: true })).toHaveCount(1);
});

test('rates and relations, every other way to say a dose, and a column that is pasted', async ({
  page,
  request,
}) => {
  const { id, file } = await given(
    request,
    ownFile([
      [scent, '2 %'],
      [extra, '6 g'],
    ]),
  );
  const [, inScent, inExtra] = file.materials;
  await page.goto(`/plans/${id}`);

  // The same again of the extra as of the fragrance.
  await doseField(page, inExtra?.name).fill('= fragrance');
  await expect(page.getByRole('row', { name: /Extra/ })).toContainText('2 %');
  await doseField(page, inExtra?.name).fill('2x scent');
  await expect(page.getByRole('row', { name: /Extra/ })).toContainText('4 %');
  await doseField(page, inExtra?.name).fill('= honey');
  await expect(page.getByText(/“= honey” can’t be followed/)).toBeVisible();

  // ½ tsp of 0.95 g/mL in a pound: 2.4645 mL, 2.341 g in 453.59 g, 0.52 %.
  await doseField(page, inScent?.name).fill('½ tsp/lb');
  await expect(page.getByRole('row', { name: /Scent/ })).toContainText('0.52 %');
  await page.getByRole('button', { name: /Scent.*other ways/ }).click();
  const ways = page.getByRole('list', { name: /Other ways to say Scent/ });
  await expect(ways.getByRole('button', { name: /approximately\s*0\.5 tsp\/lb/ })).toBeVisible();
  await ways.getByRole('button', { name: '0.516 %' }).click();
  await expect(doseField(page, inScent?.name)).toHaveValue('0.516 %');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(doseField(page, inScent?.name)).toHaveValue('½ tsp/lb');

  await doseField(page, inScent?.name).evaluate((field, text) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text', text);
    field.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
  }, '1,5 %\r\n8 g/100 g\r\n9 kg\r\n');
  await expect(doseField(page, inScent?.name)).toHaveValue('1,5 %');
  await expect(doseField(page, inExtra?.name)).toHaveValue('8 g/100 g');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(doseField(page, inScent?.name)).toHaveValue('½ tsp/lb');
  await saved(page);
});

test('a material that is not on the shelf is put there by its kind; a name that two have asks which', async ({
  page,
  request,
}) => {
  const file = ownFile([
    [extra, '1 g'],
    [scent, '2 %'],
  ]);
  const { id } = await given(request, file);
  const [, , own] = file.materials;
  await opened(page, `/plans/${id}`);
  const add = page.getByLabel('Material to add');
  const name = `Hedge clay ${id.slice(0, 8)}`;
  await doseField(page, own?.name).press('Enter');
  await expect(add).toBeFocused();
  await page.keyboard.type(name);
  await page.keyboard.press('Enter');
  const which = page.getByRole('group', { name: `Which material “${name}” is` });
  await expect(which.getByRole('button', { name: 'Fragrance oil' })).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(which).toBeHidden();
  await add.press('Enter');
  await which.getByRole('button', { name: 'Pigment' }).click();
  await expect(doseField(page, name)).toBeFocused();
  await page.keyboard.type('0.4 %');
  await page.keyboard.press('Enter');
  await expect(add).toBeFocused();
  await page.keyboard.type(name.toUpperCase());
  await page.keyboard.press('Enter');
  await expect(page.getByLabel(`Dose of ${name}`)).toHaveCount(2);
  await saved(page);
  const made = (await (await request.get('/api/materials')).json()).filter(
    ({ item }: { item: { name: string } }) => item.name === name,
  );
  expect(made).toHaveLength(1);
  expect(made[0].item).toMatchObject({ kind: 'colorant', form: 'pigment', maxOfProduct: null });

  await add.fill(file.materials[0]?.name ?? '');
  await add.press('Enter');
  await expect(
    page.getByText(`“${file.materials[0]?.name}” is there already, and not dosed, as base.`),
  ).toBeVisible();
  await add.fill(own?.name.replace('Scent ', '') ?? '');
  await add.press('Enter');
  await page.getByRole('button', { name: `${own?.name} Fragrance` }).click();
  await expect(page.getByLabel(`Dose of ${own?.name}`)).toHaveCount(2);
});

test('a base and a mold that are missing are made in the plan, by their own forms, and taken at once', async ({
  page,
  request,
}) => {
  const { id } = await given(request, ownFile([[scent, '2 %']]));
  const mark = id.slice(0, 8);
  await opened(page, `/plans/${id}`);
  const mold = page.getByRole('combobox', { name: 'Mold', exact: true });
  const dialog = page.getByRole('dialog');
  await mold.selectOption({ label: 'A new mold …' });
  await dialog.getByRole('button', { name: 'Put there' }).click();
  await expect(dialog.getByText('Give it a name.')).toBeVisible();
  await dialog.getByLabel('Name', { exact: true }).fill(`Tin ${mark}`);
  await dialog.getByLabel('Cavities').fill('4');
  await dialog.getByLabel('One cavity holds').fill('80');
  await dialog.getByRole('button', { name: 'Put there' }).click();
  await expect(dialog).toBeHidden();
  await expect(mold.locator('option:checked')).toHaveText(`Tin ${mark}`);

  const base = page.getByRole('combobox', { name: 'Base', exact: true });
  const before = await base.inputValue();
  await base.selectOption({ label: 'A new base …' });
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await expect(base).toHaveValue(before);
  await base.selectOption({ label: 'A new base …' });
  await dialog.getByLabel('Name', { exact: true }).fill(`Curd ${mark}`);
  await dialog.getByRole('button', { name: 'Put there' }).click();
  await expect(base.locator('option:checked')).toHaveText(`Curd ${mark}`);
  // One of that name is there: it is taken without leaving the plan.
  const own = await base.locator(`option[value="${before}"]`).textContent();
  await base.selectOption({ label: 'A new base …' });
  await dialog.getByLabel('Name', { exact: true }).fill(`  ${own?.toUpperCase()}`);
  await dialog.getByRole('button', { name: 'Put there' }).click();
  await expect(dialog.getByRole('alert')).toContainText(`“${own}” is on the shelf already, as base.`);
  await dialog.getByRole('button', { name: 'Use that one' }).click();
  await expect(dialog).toBeHidden();
  await expect(base).toHaveValue(before);
  await base.selectOption({ label: `Curd ${mark}` });
  await saved(page);
  await page.reload();
  await expect(base.locator('option:checked')).toHaveText(`Curd ${mark}`);
  await expect(mold.locator('option:checked')).toHaveText(`Tin ${mark}`);
});
