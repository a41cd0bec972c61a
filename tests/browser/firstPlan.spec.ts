import { expect, type Locator, test } from '@playwright/test';
import { type RunningServer, startServer, temporaryFolder } from '../support/server';
import { looksRight } from './looksRight';
import { doseField, opened, saved } from './workshop';

/** A workshop of its own, with nothing in it. */
const folder = temporaryFolder();
let server: RunningServer;

test.beforeAll(async () => {
  server = await startServer(folder.path);
});

test.afterAll(async () => {
  await server.stop();
  folder.remove();
});

const MOST_PRESSES = 12;

test('from the first page of an empty workshop to a printed sheet with right weights in twelve presses at most', async ({
  page,
}) => {
  let presses = 0;
  const press = async (what: Locator) => {
    presses++;
    await what.click();
  };
  await page.goto(server.base);
  await looksRight(page, 'an empty workshop');
  await press(page.getByRole('button', { name: 'Begin a plan' }));
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('First bar');
  // The dialog stands open with the first base and the first mold chosen.
  presses++;
  await page.getByLabel('Name', { exact: true }).press('Enter');
  await page.waitForURL(/\/plans\/[0-9a-f-]{36}$/);
  presses += 3;
  await page.getByLabel('Material to add').fill('lavender');
  await page.getByLabel('Material to add').press('Enter');
  await expect(page.getByRole('button', { name: 'Lavender oil Fragrance' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(doseField(page, 'Lavender oil')).toBeFocused();
  await doseField(page, 'Lavender oil').fill('2 per cent');
  await saved(page);
  const checks = page.getByRole('region', { name: 'Checks' });
  await expect(checks.getByText(/Caution/)).toHaveCount(1);
  await expect(checks.getByText('Figures not known: 2 materials, the mold, and the scale')).toBeVisible();
  expect(await checks.locator('details').count()).toBeLessThanOrEqual(2);
  await press(page.getByRole('button', { name: 'Bench sheet, to print' }));
  await page.waitForURL(/\/sheet/);
  await expect(page.getByRole('button', { name: /Print/ })).toBeVisible();
  presses++;
  // By hand: 6 x 100 mL to 95 %, 3 % stays in the jug: 587.63 mL; a gram of base with 2 % takes 1/1.05 + 0.02/0.95
  // = 0.973434 mL: 603.67 g of base, and 12.07 g of the oil.
  await expect(page.locator('[data-task="r1/A/l1/base"]')).toContainText('603.7 g');
  await expect(page.getByRole('row', { name: /Lavender/ })).toContainText('12.1 g');
  expect(presses).toBeLessThanOrEqual(MOST_PRESSES);

  await opened(page, `${server.base}/shelf`);
  const usual = page.getByRole('row', { name: /Lavender oil/ });
  await expect(usual).toContainText('usual, not yours');
  await usual.getByRole('button', { name: 'Lavender oil' }).click();
  await page.getByLabel('Supplier’s limit, % of product').fill('2');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(usual).not.toContainText('usual, not yours');

  // 44 pieces in a tray of six are eight fillings, and the last fills two cavities.
  await opened(page, `${server.base}/plans`);
  await page.getByRole('button', { name: 'New plan' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Forty-four');
  await page.getByLabel('Name', { exact: true }).press('Enter');
  await page.waitForURL(/\/plans\/[0-9a-f-]{36}$/);
  await page.getByLabel('Pieces', { exact: true }).fill('44');
  const totals = page.getByRole('region', { name: 'Totals' });
  await expect(totals).toContainText('44 pieces of 99.8 g');
  await expect(totals).toContainText('8 fillings of 6 cavities, 95.0 mL each');
  await saved(page);
  await page.getByRole('button', { name: 'Bench sheet, to print' }).click();
  await page.waitForURL(/\/sheet/);
  // By hand: 44 x 95 mL at 1.05 g/mL and 3 % on the walls are 4524.7 g: six of them 617.0 g, the last two a third of it.
  await expect(page.locator('[data-task="r1/A/l1/base"]')).toContainText('617.0 g');
  await expect(page.getByRole('row', { name: /^8.*2 cavities: 33\.3 % of each weight/ })).toBeVisible();
});
