import { expect } from '@playwright/test';
import { looksRight } from './looksRight';
import { test } from './ownServer';
import { given, opened, ownFile, saved, scent } from './workshop';

test('what the shelf, the mold book and the house rules were before is undone, seen, and taken back', async ({
  page,
  request,
}) => {
  const { file } = await given(request, ownFile([[scent, '1 %']]));
  const { name } = file.materials[0] ?? { name: '' };
  const row = page.getByRole('button', { name, exact: true });
  await opened(page, '/shelf');
  const renamed = `${name} again`;
  const rename = async () => {
    await row.first().click();
    await page.getByLabel('Name', { exact: true }).fill(renamed);
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText(`${renamed} is saved.`)).toBeVisible();
  };
  await rename();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row.first()).toBeVisible();
  await rename();
  await page.getByRole('button', { name: renamed, exact: true }).first().click();
  await page.getByRole('link', { name: `What ${renamed} was before` }).click();
  await expect(page.getByRole('heading', { name: `${renamed}: now and before` })).toBeVisible();
  await expect(page.getByText(`Name: ${name} → ${renamed}`).first()).toBeVisible();
  await looksRight(page, 'what a material was before');
  await page.getByRole('button', { name: 'Make it this again' }).first().focus();
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/shelf\?material=/);
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name);

  // One that was taken away comes back under its own id.
  const spare = await request.post('/api/jugs', { data: { name: `Jug of ${name}`, holdsMl: 250 } });
  const { item } = await spare.json();
  await opened(page, '/house-rules');
  await page.getByRole('button', { name: `Take out Jug of ${name}` }).click();
  await page.getByRole('status').filter({ hasText: 'Jug of' }).getByRole('button').click();
  await expect(page.getByRole('listitem').filter({ hasText: `Jug of ${name}: holds 250` })).toBeVisible();
  expect((await (await request.get(`/api/jugs/${item.id}`)).json()).item).toEqual(item);

  await page.getByLabel('Usual fill of a new mold').fill('61');
  await saved(page);
  await page.getByRole('link', { name: 'What the rules were before' }).click();
  await expect(
    page.getByRole('listitem').filter({ hasText: 'Usual fill of a new mold, %: 95 → 61' }).first(),
  ).toBeVisible();
  await looksRight(page, 'what the house rules were before');
  await page.getByRole('button', { name: 'Make it this again' }).first().click();
  await page.waitForURL(/\/house-rules$/);
  await expect(page.getByLabel('Usual fill of a new mold')).not.toHaveValue('61');
  // Seen before somebody else saved: it is told, and nothing is changed.
  await page.getByRole('link', { name: 'What the rules were before' }).click();
  const rules = await (await request.get('/api/house-rules')).json();
  await request.put('/api/house-rules', { data: { ...rules, item: { ...rules.item, fillFraction: 0.62 } } });
  await page.getByRole('button', { name: 'Make it this again' }).first().click();
  await expect(page.getByRole('alert')).toContainText('It was saved from somewhere else meanwhile.');
});
