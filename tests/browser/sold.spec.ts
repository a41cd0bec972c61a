import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { fragrance } from '../support/planFiles';
import { HANDS, handOf } from './hands';
import { looksRight } from './looksRight';
import { given, made, ownFile, saved, sent } from './workshop';

for (const hand of HANDS) {
  test(`by ${hand}: a batch becomes a product with its label and its price, is packed and sold`, async ({
    browser,
    request,
  }) => {
    const { page, press, write, choose } = await handOf(hand, browser);
    const file = ownFile([[fragrance({ name: 'Told scent', allergens: null }), '2 %']]);
    const [base, scent] = file.materials;
    const { id } = await given(request, file);
    const run = await made(request, id);
    await sent(request, run.id, { kind: 'finished', verdict: 'good', goodPieces: 6, note: '' });

    // What the packs tell, typed on the shelf: a list with a share, and allergens, one of them misspelt.
    await page.goto(`/shelf?material=${base?.id}`);
    const group = (name: string) => page.locator('details', { hasText: name }).last();
    await press(group('Ingredients').locator('summary'));
    await write(page.getByLabel('Ingredients, in the order of the pack'), 'Glycerin, Aqua, Sodium Stearate');
    await write(page.getByLabel('Shares that are known of them'), 'Sorbitol 2 %');
    const save = page.getByRole('button', { name: 'Save', exact: true });
    await press(save);
    await expect(page.getByText('tells a share of “Sorbitol”')).toBeVisible();
    await write(page.getByLabel('Shares that are known of them'), 'Glycerin 50 %, Water 30 %');
    await press(save);
    await expect(save).toBeHidden();

    await page.goto(`/log/${run.id}`);
    await press(page.getByRole('link', { name: 'Make a label' }));
    await press(page.getByRole('button', { name: 'New product' }));
    await page.waitForURL(/\/products\/[0-9a-f-]{36}/);
    const lacks = page.getByRole('list', { name: 'What the label lacks' });
    await expect(lacks).toContainText(`Nobody has told the allergens of ${scent?.name}`);
    const product = page.url();

    await page.goto(`/shelf?material=${scent?.id}`);
    await press(group('Allergens').locator('summary'));
    await write(page.getByLabel('Allergens'), 'Linalool 12 %, Linalyl Acetate 3 %, Limonen 2 %');
    await expect(page.getByRole('status').filter({ hasText: /^Limonen: on neither list/ })).toBeVisible();
    await press(save);
    await expect(save).toBeHidden();

    await page.goto(product);
    const drawing = page.getByRole('img', { name: /^Label of/ });
    await expect(drawing.locator('rect').first()).toBeVisible();
    await press(page.getByRole('checkbox', { name: 'its layers in their colours' }));
    await expect(drawing.locator('rect')).toHaveCount(0);
    await press(page.getByRole('checkbox', { name: 'its layers in their colours' }));
    await write(page.getByRole('textbox', { name: 'What it is' }), 'hand soap');
    await expect(drawing).toContainText(/Linalyl\s*Acetate/);
    // Half glycerin and 30 % of water leave 20 % for the third: no place is open.
    await expect(drawing).toContainText(/Glycerin,\s*Aqua,\s*Sodium\s*Stearate/);
    await expect(lacks).not.toContainText('may have to change places');
    await choose(page.getByRole('combobox', { name: 'Allergens by' }), 'the 24 names');
    await expect(page.getByText('Only for what was on sale before')).toBeVisible();
    await expect(drawing).not.toContainText('Linalyl');
    await expect(drawing).toContainText('Linalool');
    await choose(page.getByRole('combobox', { name: 'Allergens by' }), 'the longer list');
    // Loaded again before it is saved: what is sent on leaving is what stands there.
    const place = page.getByRole('combobox', { name: 'Ingredients stand' });
    await saved(page);
    await choose(place, 'on a notice');
    await page.reload();
    await expect(place).toHaveValue('notice');
    await expect(drawing).not.toContainText('Ingredients:');
    await write(page.getByLabel('Retail price, with tax'), '6,50');
    await saved(page);
    await looksRight(page, 'a product with its layers');
    const [print] = await Promise.all([
      page.waitForEvent('download'),
      press(page.getByRole('button', { name: 'One label, PDF' })),
    ]);
    expect((await readFile(await print.path())).subarray(0, 5).toString()).toBe('%PDF-');

    await write(page.getByRole('form', { name: 'Pack' }).getByLabel('Packs'), '2');
    await press(page.getByRole('button', { name: 'Pack 2' }));
    await expect(page.getByTestId('goods-now')).toHaveText('2 in the workshop.');
    await press(page.getByRole('button', { name: /^Sold, moved, given away/ }));
    const form = page.getByRole('form', { name: /^What became of/ });
    await write(form.getByLabel('Packs'), '1');
    await expect(form.getByLabel('Paid for all of them')).toHaveValue('6.5');
    await write(form.getByLabel('Paid for all of them'), '6');
    await press(form.getByRole('button', { name: 'Save' }));
    await expect(page.getByTestId('goods-takings')).toHaveText('1 pack sold for €6.00.');

    // What its label does not say stands on the notice.
    await press(page.getByRole('link', { name: 'The notice' }));
    const line = page.getByRole('region', { name: file.plan.name });
    await expect(line).toContainText('hand soap');
    await expect(line).toContainText('Ingredients: Glycerin, Aqua, Sodium Stearate, Parfum');
    const others = page.getByRole('checkbox', { name: 'Bare Face' });
    await press(others);
    await press(page.getByRole('button', { name: 'Show these' }));
    await expect(page.getByRole('region', { name: 'Bare Face' })).toContainText('Ingredients:');
    await expect(line).toBeVisible();
  });
}
