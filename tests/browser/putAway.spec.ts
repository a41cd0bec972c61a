import { expect, test } from '@playwright/test';
import { looksRight } from './looksRight';
import { given, opened, ownFile } from './workshop';

test('a plan is archived and deleted from its card, told why it can’t be, undone, and brought back; a mold is archived', async ({
  page,
  request,
}) => {
  const { id, file } = await given(request, ownFile());
  const { name } = file.plan;
  const card = page.getByRole('link', { name });
  const menu = async (what: string) => {
    await page.getByLabel(`More for ${name}`).click();
    await page.getByRole('button', { name: what, exact: true }).click();
  };
  await page.goto(`/plans?q=${encodeURIComponent(name)}`);
  await menu('Archive');
  await expect(page.getByText(`“${name}” is archived.`)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(`“${name}” is archived.`)).toBeHidden();
  await page.goto(`/plans?q=${encodeURIComponent(name)}`);
  await expect(card).toBeVisible();

  // By keyboard.
  await page.getByLabel(`More for ${name}`).focus();
  await page.keyboard.press('Enter');
  await looksRight(page, 'the menu of a card');
  await page.getByRole('button', { name: 'Delete', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText(`“${name}” is deleted, and can be brought back for 30 days.`)).toBeVisible();
  const gone = await page.goto(`/plans/${id}`);
  expect(gone?.status()).toBe(404);
  await page.goto('/plans');
  await page.getByRole('link', { name: /^Archived and deleted plans: / }).click();
  await looksRight(page, 'what is archived and deleted');
  await page.getByRole('button', { name: `Bring back ${name}` }).click();
  await expect(page.getByRole('button', { name: `Bring back ${name}` })).toHaveCount(0);

  // What the Logbook rests on is archived only.
  const run = await request.post('/api/runs', { data: { id: crypto.randomUUID(), planId: id } });
  expect(run.status()).toBe(201);
  await page.goto(`/plans?q=${encodeURIComponent(name)}`);
  await menu('Delete');
  await expect(page.getByRole('alert')).toContainText('A run was made by this plan');
  await page.getByRole('button', { name: 'Archive', exact: true }).click();
  await page.waitForURL(/gone=/);
  await page.goto(`/plans/${id}`);
  await expect(page.getByText('This plan is archived: no list shows it.')).toBeVisible();
  await page.getByRole('button', { name: 'Bring back' }).click();
  await expect(page.getByText('This plan is archived')).toBeHidden();

  await opened(page, '/molds');
  await page.getByRole('button', { name: file.mold.name }).click();
  await page.getByRole('button', { name: 'Archive this mold' }).click();
  await expect(page.getByText(`“${file.mold.name}” is archived.`)).toBeVisible();
  await expect(page.getByRole('button', { name: file.mold.name })).toHaveCount(0);
  await page.getByLabel('with archived ones').check();
  await page.getByRole('button', { name: file.mold.name }).click();
  await page.getByRole('button', { name: 'Bring back into the mold book' }).click();
  await expect(page.getByRole('button', { name: file.mold.name })).toBeVisible();
});
