import { expect, test } from '@playwright/test';
import { colorant } from '../support/planFiles';
import { given, ownFile, saved, scent } from './workshop';

test('all pours as one grid: by keys like a sheet of figures, filled to the right, pasted, and read across one jug', async ({
  page,
  request,
}) => {
  const drops = colorant({ name: 'Blue', form: 'dye', densityGPerMl: 1 });
  const { id, file } = await given(
    request,
    ownFile([
      [scent, '1 %'],
      [drops, '3 drops'],
    ]),
  );
  const [, inScent, blue] = file.materials;
  const cell = (material: { name: string } | undefined, pour: string) =>
    page.getByLabel(`${material?.name} in ${pour}`, { exact: true });
  const press = (key: string) => page.keyboard.press(key);
  await page.goto(`/plans/${id}`);
  const add = page.getByRole('button', { name: 'Pour', exact: true });
  await add.click();
  await add.click();
  await page.getByRole('tab', { name: 'Side by side' }).click();

  // A fragrance is typed once for three layers, a colour grows from one to the next.
  await cell(inScent, 'A').click();
  await press('Control+Enter');
  await expect(cell(inScent, 'C')).toHaveValue('1 %');
  await expect(cell(inScent, 'B')).toHaveValue('1 %');
  await press('Enter');
  await expect(cell(blue, 'A')).toBeFocused();
  await press('ArrowRight');
  await page.keyboard.type('6 drops');
  await press('ArrowRight');
  await page.keyboard.type('12 drops');
  await expect(cell(blue, 'C')).toHaveValue('12 drops');
  await press('ArrowUp');
  await expect(cell(inScent, 'C')).toBeFocused();
  const row = page.getByRole('row', { name: new RegExp(blue?.name ?? '') });
  await expect(row).toContainText(/≈ 0.1\d g/);
  await expect(row).toContainText(/≈ 0.[56]\d g/);

  // A text that can't be read says why; an emptied cell is no dose, and its row stays while the grid is used.
  await cell(blue, 'B').fill('3 foo');
  await expect(page.getByRole('alert')).toContainText('foo');
  await cell(blue, 'B').fill('');
  await press('ArrowUp');
  await expect(page.getByRole('alert')).toBeHidden();
  await saved(page);
  const told = async () =>
    ((await (await request.get(`/api/plans/${id}`)).json()) as typeof file).plan.pours.map(({ doses }) =>
      doses.map(({ text }) => text),
    );
  expect(await told()).toEqual([['1 %', '3 drops'], ['1 %'], ['1 %', '12 drops']]);

  // A block of another sheet of figures.
  await cell(inScent, 'B').evaluate((field, text) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text', text);
    field.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
  }, '1,5 %\t2 %\r\n4 drops\t\r\n');
  await saved(page);
  expect(await told()).toEqual([['1 %', '3 drops'], ['1,5 %', '4 drops'], ['2 %']]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell(blue, 'C')).toHaveValue('12 drops');

  // In one jug what came with A is in B, and only more is added.
  await page.getByRole('tab', { name: /^B/ }).click();
  await page.getByText('How it is poured, what is set in').click();
  await page.getByLabel('Goes on in the jug of A').check();
  await page.getByRole('tab', { name: 'Side by side' }).click();
  await expect(page.getByText('one jug')).toBeVisible();
  await expect(page.getByRole('row', { name: new RegExp(inScent?.name ?? '') })).toContainText('in the jug');
  await cell(inScent, 'A').click();
  await press('Control+Enter');
  await expect(cell(inScent, 'B')).toHaveValue('');
  await page.getByRole('button', { name: `Take out ${blue?.name} everywhere` }).click();
  await saved(page);
  expect(await told()).toEqual([['1 %'], [], ['1 %']]);

  // The next plan of several pours opens so too; a narrow screen has its tabs.
  await page.reload();
  await expect(cell(inScent, 'A')).toBeVisible();
  await page.setViewportSize({ width: 820, height: 1180 });
  await expect(page.getByLabel(`Dose of ${inScent?.name}`)).toBeVisible();
  await page.evaluate(() => localStorage.clear());
});
