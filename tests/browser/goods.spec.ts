import { expect, test } from '@playwright/test';
import { newProduct } from '../../src/core/product/newProduct';
import { looksRight } from './looksRight';

test('good pieces are packed, go to a market box, are sold there, and what was wrong is taken back', async ({
  page,
  request,
}) => {
  const plans: { id: string; plan: { name: string } }[] = await (await request.get('/api/plans')).json();
  const plan = plans.find(({ plan: { name } }) => name === 'Bare Face');
  const pair = {
    ...newProduct({ id: plan?.id ?? '', name: 'Bare pair' }, 'eu-cosmetic', { widthMm: 60, heightMm: 40 }),
    ...{ form: 'set', parts: [{ planId: plan?.id, pieces: 2 }] },
  };
  const { item } = await (await request.post('/api/products', { data: pair })).json();
  await page.goto(`/products/${item.id}`);
  const now = page.getByTestId('goods-now');
  const pack = page.getByRole('form', { name: 'Pack' });
  await expect(now).toHaveText('None in stock.');
  const retail = page.getByLabel('Retail price, with tax');
  await retail.fill('-7');
  await expect(page.getByText('Must be from 0')).toBeVisible();
  await retail.fill('7,5');
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  for (const [typed, why] of [
    ['2,5', 'Must be a whole number'],
    ['900', 'Must be from 1 to 4.'],
    ['½', 'Must be a whole number'],
    ['constructor', 'Only a number goes here'],
    ['', 'Write a whole number'],
  ] as const) {
    await pack.getByLabel('Packs').fill(typed);
    await expect(pack.getByRole('alert')).toContainText(why);
    await expect(pack.getByRole('button')).toBeDisabled();
  }
  await pack.getByLabel('Packs').fill('3');
  await pack.getByRole('button', { name: 'Pack 3' }).dblclick();
  await expect(now).toHaveText('3 in the workshop.');
  await expect(pack.getByLabel('Of batch')).toContainText('2 pieces left');

  await page.getByRole('button', { name: /^Sold, moved, given away/ }).click();
  const form = page.getByRole('form', { name: /^What became of/ });
  await form.getByLabel('What became of them').selectOption('moved');
  await form.getByLabel('Packs').fill('2');
  await form.getByLabel('Moved to').selectOption('another place …');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form.getByText('Write something here.')).toBeVisible();
  await form.getByLabel(/^Its name/).fill('Market box');
  await looksRight(page, 'what became of packs');
  await form.getByRole('button', { name: 'Save' }).dblclick();
  await expect(now).toHaveText('1 in the workshop and 2 at Market box.');
  await page.reload();
  await page.getByRole('button', { name: /^Sold, moved, given away/ }).click();
  await form.getByLabel('Where they stood').selectOption('Market box');
  await form.getByLabel('Packs').fill('3');
  await expect(form.getByRole('alert')).toHaveText('Must be from 1 to 2.');
  await form.getByLabel('Packs').fill('2');
  const paid = form.getByLabel('Paid for all of them');
  await expect(paid).toHaveValue('15');
  await paid.fill('cheap');
  await expect(form.getByText('Only a number goes here')).toBeVisible();
  await expect(form.getByRole('button', { name: 'Save' })).toBeDisabled();
  await paid.fill('14,50');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(now).toHaveText('1 in the workshop.');
  await expect(page.getByTestId('goods-takings')).toHaveText('2 packs sold for €14.50.');
  await page.reload();
  await expect(page.getByTestId('goods-takings')).toHaveText('2 packs sold for €14.50.');

  await page.getByText('What became of them, line by line').click();
  await page.getByRole('button', { name: /^Take back: 2 moved/ }).click();
  await expect(page.getByRole('alert')).toHaveText('None of them are at Market box.');
  await page.getByRole('button', { name: 'Take back: 2 sold, at Market box, for €14.50' }).click();
  await expect(now).toHaveText('1 in the workshop and 2 at Market box.');
  await expect(page.getByText('2 not sold after all, at Market box')).toBeVisible();
  await expect(page.getByTestId('goods-takings')).toBeHidden();
  await looksRight(page, 'packs and what became of them');

  await page.goto('/products/stock');
  await expect(page.getByRole('heading', { name: 'Market box: 2 packs' })).toBeVisible();
  await looksRight(page, 'finished goods by place');
  await page.getByRole('link', { name: 'Products', exact: true }).last().click();
  await expect(page.getByRole('row', { name: /^Bare pair/ })).toContainText(
    '1 in the workshop and 2 at Market box',
  );
  // The label and the cost come with the page: nothing moves under the pointer once it is there.
  await page.route(/\/api\/(labels|pack-cost)$/, (route) => route.abort());
  await page.goto(`/products/${item.id}`);
  await expect(page.getByRole('img', { name: /^Label of Bare pair/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'What a pack costs' })).toContainText('Together');
  await expect(page.getByRole('alert')).toBeHidden();
  await page.getByRole('button', { name: 'Delete this product' }).click();
  await page.getByRole('button', { name: 'Yes, delete it' }).click();
  await expect(page.getByRole('alert')).toContainText('Some of it was packed already');
});
