import { expect } from '@playwright/test';
import { fragrance, planFile } from '../support/planFiles';
import { looksRight } from './looksRight';
import { test } from './ownServer';
import { opened } from './workshop';

test('the whole workshop is saved, something is made, and the copy is brought back and undone, by pressing', async ({
  page,
  request,
}) => {
  const take = (name: string) => request.post('/api/plans/import', { data: planFile([{}], { name }) });
  await take('Before the copy');
  await opened(page, '/house-rules');
  await page.getByRole('link', { name: 'Copies of the workshop' }).click();
  await expect(page.getByText(/There is no copy here yet/)).toBeVisible();
  const coming = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save a copy' }).click();
  const download = await coming;
  expect(download.suggestedFilename()).toMatch(/^idle-tallow-\d{4}-\d\d-\d\d\.zip$/);
  const path = await download.path();
  await take('After the copy');

  const file = page.getByLabel('File with a copy');
  await file.setInputFiles({ name: 'junk.zip', mimeType: 'application/zip', buffer: Buffer.from('junk') });
  await expect(page.getByRole('alert')).toContainText('neither a copy of a workshop nor a database');
  await file.setInputFiles(path);
  await expect(page.getByText(/^1 plan, 1 mold, 1 material, and 0 runs, last changed/)).toBeVisible();
  await looksRight(page, 'a copy that was looked into');
  await page.getByRole('button', { name: 'Some of its plans' }).click();
  await page.getByLabel(/^Before the copy · the same here$/).check();
  await looksRight(page, 'the plans of a copy');
  await page.getByRole('button', { name: 'Take 1 plan' }).click();
  await expect(page.getByText('1 plan is in the workshop now.')).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(page.getByRole('button', { name: 'Bring it back' })).toBeHidden();
  await page.getByLabel('Folder').fill('stick');
  await page.getByRole('button', { name: 'Copy there, too' }).click();
  await expect(page.getByText(/say where it is from the root on/)).toBeVisible();
  await file.setInputFiles(path);
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByText(/^The copy is the workshop now/)).toBeVisible();
  const plans = async () => {
    const all: { plan: { name: string } }[] = await (await request.get('/api/plans')).json();
    return all.map(({ plan }) => plan.name).sort();
  };
  expect(await plans()).toEqual(['Before the copy']);

  await page.getByRole('button', { name: /^Look into it: .*before a copy was brought back/ }).click();
  await expect(page.getByText(/^3 plans, /)).toBeVisible();
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByRole('button', { name: /before a copy was brought back/ })).toHaveCount(2);
  expect(await plans()).toEqual(['After the copy', 'Before the copy', 'Before the copy']);
});

test('a plan file whose material is other here is shown side by side, and the one here is used', async ({
  page,
  request,
}) => {
  const scented = (densityGPerMl: number) =>
    planFile([{ doses: [[fragrance({ densityGPerMl, name: 'Shared scent' }), '1 %']] }]);
  await request.post('/api/plans/import', { data: scented(0.9) });
  await opened(page, '/plans');
  await page.getByLabel('Plan file').setInputFiles({
    name: 'plan.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(scented(1.1))),
  });
  await expect(page.getByRole('row', { name: 'Density, g/mL 0.9 1.1' })).toBeVisible();
  await looksRight(page, 'a plan file that is other here');
  await page.getByLabel('Use the one here').check();
  await page.getByRole('button', { name: 'Take the plan' }).click();
  await page.waitForURL(/\/plans\/.+/);
  const all: { item: { name: string } }[] = await (await request.get('/api/materials')).json();
  expect(all.filter(({ item }) => item.name === 'Shared scent')).toHaveLength(1);
});
