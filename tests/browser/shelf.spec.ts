import { expect, type Page, test } from '@playwright/test';
import { type RunningServer, startServer, temporaryFolder } from '../support/server';
import { doseField, saved } from './workshop';

/** The invented syndet head bar from an empty shelf, as a crafter would come to it. */
const MATERIALS = [
  'Kind;Name;What it is;What it does;On skin;Density;Fragrance cap;Cap of oils and butters;Cap of all additions;Supplier’s limit;Vanillin in it;Allergens;Comes from;Form',
  'base;Rain Block;syndet;;;1,03;2;1;3;;;;none;',
  'fragrance;Green Lime;;;released;0,86;;;;2,5;0;Limonene 40 %;none;',
  'fragrance;Harbour Bay;;;released;0,94;;;;2,8;0;Linalool 10 %;none;',
  'additive;Silk protein;;active;released;1,09;;;;;;;animal;',
  'additive;Panthenol;;active;released;1,15;;;;;;;none;',
  'additive;Seed oil;;oil;released;0,92;;;;;;;none;',
  'additive;Fine grit;;grit;released;1,3;;;;;;;none;',
  'colorant;Fern mica;;;released;2,8;;;;;;;none;mica',
  'dispersant;Clear glycerin;;;released;1,26;;;;;;;none;',
  'spoon;Ladle;;;;;;;;;;;;',
].join('\r\n');
const LOTS = [
  'Material,Lot number,Bought,Amount,Price,Best before',
  'Rain Block,RB-1,2026-01-10,2000,24,',
  'Green Lime,GL-1,2026-01-10,30,6,2031-01-01',
  'Green Lime,GL-0,2026-01-09,2,1,2030-01-01',
].join('\n');

let server: RunningServer;
const folder = temporaryFolder();
test.beforeAll(async () => {
  server = await startServer(folder.path);
});
test.afterAll(async () => {
  await server.stop();
  folder.remove();
});

async function bringIn(page: Page, what: string, text: string) {
  await page.getByRole('button', { name: 'Bring in a CSV file' }).click();
  const dialog = page.getByRole('dialog', { name: 'Bring in a CSV file' });
  await dialog.getByLabel('What is in it').selectOption({ label: what });
  await dialog
    .getByLabel('File', { exact: true })
    .setInputFiles({ name: 'shelf.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await dialog.getByRole('button', { name: 'Look at the rows' }).click();
  return dialog;
}

async function add(page: Page, material: string, text: string) {
  await page.getByLabel('Material to add').fill(material);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await doseField(page, material).fill(text);
}

test('a syndet head bar from an empty shelf: CSV, a drop, a blend, doses of each kind, mends, and the stock after', async ({
  page,
}) => {
  test.setTimeout(150_000);
  await page.goto(`${server.base}/shelf`);
  await expect(page.getByText('The shelf is empty.')).toBeVisible();

  // A file that is none, then one with a bad row.
  const bad = await bringInJunk(page);
  await expect(bad.getByRole('alert')).toContainText('not a text file');
  await bad.getByRole('button', { name: 'Close' }).click();
  const dialog = await bringIn(page, 'Materials', MATERIALS);
  await expect(dialog.getByRole('button', { name: '9 new' })).toBeVisible();
  await dialog.getByRole('button', { name: '1 can’t be read' }).click();
  await expect(dialog.getByRole('row', { name: /Ladle/ })).toContainText('is none of: base, fragrance');
  await dialog.getByRole('button', { name: 'Take only the 9 good ones' }).click();
  await expect(page.getByRole('button', { name: 'Rain Block' })).toBeVisible();
  const lots = await bringIn(page, 'Lots', LOTS);
  await lots.getByRole('button', { name: 'Take all 3' }).click();
  await expect(lots).toBeHidden();
  await expect(page.getByRole('row', { name: /Green Lime/ })).toContainText('32.0 g');

  // Twenty drops of this bottle weigh 0.80 g.
  await page.getByRole('button', { name: 'Green Lime' }).click();
  const readings = page.getByRole('region', { name: 'Measured on the scale' });
  await readings.getByLabel('On the scale, g').fill('0,80');
  await readings.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(readings.getByText('0.040 g a drop')).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();

  // Two parts of lime and one of bay: the limit is the tighter of 2.5 / (2/3) and 2.8 / (1/3), 3.75 %.
  await page.getByRole('button', { name: 'New material' }).click();
  await page.getByLabel('Kind', { exact: true }).selectOption({ label: 'Blend' });
  await page.getByLabel('Name', { exact: true }).fill('Lime & Bay');
  await page.getByLabel('Parts by weight').fill('2x green lime; 1x nobody');
  await page.getByRole('button', { name: 'Put there' }).click();
  await expect(page.getByText('“nobody” is not on the shelf.')).toBeVisible();
  await page.getByLabel('Parts by weight').fill('2x green lime; 1x Harbour Bay');
  await expect(page.getByText('3.75 %')).toBeVisible();
  await expect(page.getByText('Limonene 26.67 %, Linalool 3.33 %')).toBeVisible();
  await page.getByRole('button', { name: 'Put there' }).click();
  await expect(page.getByRole('button', { name: 'Lime & Bay' })).toBeVisible();

  await page.goto(`${server.base}/molds`);
  await page.getByRole('button', { name: 'New mold' }).click();
  await page.getByLabel('Name').fill('Pucks');
  await page.getByLabel(/^Cavities/).fill('8');
  await page.getByLabel(/^One cavity holds|^Capacity/).fill('80');
  await page.getByRole('button', { name: 'Put there' }).click();
  await expect(page.getByText('Pucks').first()).toBeVisible();

  await page.goto(`${server.base}/plans`);
  await page.getByRole('button', { name: 'New plan' }).click();
  await page.getByLabel('Name').fill('Head bar');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.waitForURL(/\/plans\/[0-9a-f-]{36}$/);
  await page.getByLabel('For').selectOption({ label: 'Hair' });

  await add(page, 'Silk protein', '0.8 %');
  await add(page, 'Panthenol', '0.4 g/piece');
  await add(page, 'Green Lime', '12 drops');
  await add(page, 'Lime & Bay', '2.4 %');
  await add(page, 'Seed oil', '1 tsp/lb');
  await add(page, 'Fern mica', '¼ tsp/lb');
  await add(page, 'Fine grit', '1 g/100 g');
  // Twelve counted drops of 0.040 g; a blend is weighed as its fragrances.
  await expect(page.getByRole('row', { name: /Green Lime Fragrance/ })).toContainText('0.48');
  await expect(page.getByRole('list', { name: 'Parts of Lime & Bay' })).toContainText('of the blend');
  await page.getByRole('button', { name: /Fern mica, other ways/ }).click();
  await page.getByLabel('How Fern mica is stirred in').selectOption({ label: 'wetted in Clear glycerin' });
  await expect(page.getByRole('list', { name: 'Parts of Fern mica' })).toContainText('to wet it, stays');

  // Two findings mended: grit does not suit hair, and scent is over the cap of this base.
  const checks = page.getByRole('region', { name: 'Checks' });
  const unfit = checks.getByRole('listitem').filter({ hasText: 'Fine grit does not suit a bar for hair' });
  await unfit.getByRole('button', { name: 'Take it out' }).click();
  await expect(doseField(page, 'Fine grit')).toHaveCount(0);
  const cap = checks.getByRole('listitem').filter({ hasText: /Fragrance .* of base, cap 2 %/ });
  await cap.getByRole('button', { name: 'Bring down to 2 %' }).click();
  await expect(cap).toHaveCount(0);

  // A pasted column over the whole grid, and undo across all of it.
  const before = await page
    .locator('[data-dose]')
    .evaluateAll((all) => all.map((each) => (each as HTMLInputElement).value));
  await doseField(page, 'Silk protein').evaluate((field) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text', '0,5 %\n0,4 %\n= blend of nothing\n1 %\n0,5 %\n0,1 %');
    field.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
  });
  await expect(doseField(page, 'Seed oil')).toHaveValue('0,5 %');
  await expect(checks.getByText(/can’t be followed/)).toBeVisible();
  await page.keyboard.press('Control+z');
  for (const [index, value] of before.entries())
    await expect(page.locator('[data-dose]').nth(index)).toHaveValue(value);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(doseField(page, 'Fine grit')).toHaveValue('1 g/100 g');
  await page.keyboard.press('Control+Shift+z');
  await page.keyboard.press('Control+Shift+z');
  await expect(doseField(page, 'Fine grit')).toHaveCount(0);
  await page.getByRole('button', { name: 'Take out Seed oil' }).click();
  await doseField(page, 'Silk protein').fill('0.3 %');
  await doseField(page, 'Panthenol').fill('0.1 g/piece');
  await saved(page);

  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.waitForURL(/\/bench\//);
  const tasks = page.getByRole('navigation', { name: 'Tasks' });
  await expect(tasks.getByRole('button', { name: 'Beaker into the jug' })).toBeVisible();
  for (let step = 0; step < 30; step++) {
    const scale = page.getByLabel(/^(?:On the scale|Counted out)$/);
    const done = page.getByRole('button', { name: 'Done' });
    const ended = page.getByRole('heading', { name: 'Out of the mold' });
    await expect(scale.or(done).or(ended)).toBeVisible();
    if (await ended.isVisible()) break;
    const ticked = await tasks.getByText(', ticked').count();
    if (await scale.isVisible()) {
      const [figure = ''] = ((await page.getByTestId('target').textContent()) ?? '').trim().split(' ');
      await scale.fill(figure);
      await page.getByRole('button', { name: 'Tick', exact: true }).click();
    } else await done.click();
    await expect(tasks.getByText(', ticked')).toHaveCount(ticked + 1);
  }

  // The lot that expires first gives all it has, the other the rest.
  const off = page.getByRole('region', { name: 'Off the shelf' });
  await expect(off).toContainText('All of it was taken as it was weighed.');
  await page.getByRole('button', { name: 'Into the Logbook' }).click();
  await page.getByRole('link', { name: 'See it in the Logbook' }).click();
  await expect(page.getByRole('link', { name: 'Green Lime, lot GL-0' })).toBeVisible();
  await page.getByRole('link', { name: 'Green Lime, lot GL-1' }).click();
  const gone = page.locator('summary').filter({ hasText: 'GL-0' });
  await expect(gone).toContainText('0.00 g');
  await gone.click();
  await expect(page.getByRole('link', { name: 'Used in a run' }).first()).toBeVisible();

  // A count puts the book right, and says so.
  await page.getByRole('button', { name: 'Count or correct' }).first().click();
  await page.getByLabel('Amount, g').fill('xyz');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByRole('alert')).toContainText('is no weight');
  await page.getByLabel('Amount, g').fill('1,5');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(gone).toContainText('1.50 g');
});

async function bringInJunk(page: Page) {
  await page.getByRole('button', { name: 'Bring in a CSV file' }).click();
  const dialog = page.getByRole('dialog', { name: 'Bring in a CSV file' });
  await dialog.getByLabel('File', { exact: true }).setInputFiles({
    name: 'photo.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from([0x50, 0x4b, 3, 4, 0, 0]),
  });
  return dialog;
}

test('10,000 rows are judged with progress, can be stopped, and are taken', async ({ page }) => {
  test.setTimeout(120_000);
  await page.goto(`${server.base}/shelf`);
  const rows = Array.from({ length: 10_000 }, (_, n) => `additive,Bulk ${n},active,released,1.0${n % 10}`);
  const text = ['kind,name,what it does,on skin,density', ...rows].join('\n');
  const dialog = await bringIn(page, 'Materials', text);
  await expect(dialog.getByRole('button', { name: '10000 new' })).toBeVisible({ timeout: 60_000 });
  await dialog.getByRole('button', { name: 'Take all 10000' }).click();
  await expect(page.getByText(/1 to 100 of 100\d\d/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'On', exact: true }).click();
  await expect(page.getByText(/101 to 200 of/)).toBeVisible();
  await page.getByLabel('Search the shelf by name').fill('bulk 4242');
  await expect(page.locator('[data-row]')).toHaveCount(1);
});

test('house rules: a choice with its reason changes how grave a finding is; bad figures stay at their field', async ({
  page,
}) => {
  await page.goto('/house-rules');
  await page.getByLabel('Double boiler').check();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.getByLabel('Largest grain of grit').fill('');
  await page.getByLabel('Largest grain of grit').pressSequentially('1.25', { delay: 5 });
  await page.getByLabel('Stays in the jug, of a new plan').fill('½');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.getByLabel('Stays in the jug, of a new plan').fill('-1');
  await expect(page.getByText('Must be from 0 to 50 %.')).toBeVisible();
  // Money may be left out, and is then reckoned nowhere.
  const hour = page.getByLabel('An hour of hands');
  for (const bad of ['-1', 'constructor', '1e9']) {
    await hour.fill(bad);
    await expect(hour).toHaveAttribute('aria-invalid', 'true');
  }
  await hour.fill('12,50');
  await expect(hour).toHaveAttribute('aria-invalid', 'false');
  await page.getByLabel('Prices are made by').selectOption('mark-up');
  await page.getByLabel('Mark-up at retail').fill('150');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  const reckoned = (await (await page.request.get('/api/house-rules')).json()).item;
  expect([reckoned.handsPerHour, reckoned.pricing.by, reckoned.pricing.markUp]).toEqual([
    '12.5',
    'mark-up',
    1.5,
  ]);
  await page.getByLabel('Prices are made by').selectOption('margin');
  await hour.fill('');
  // A choice is taken back where it was made, one at a time.
  await page.getByLabel('Pour without alcohol').check();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Spritz with alcohol before each layer')).toBeChecked();
  await expect(page.getByLabel('Double boiler')).toBeChecked();
  const scales = page.getByRole('form', { name: 'New scale' });
  await scales.getByLabel('Name').fill('Letter scale');
  await scales.getByLabel('Smallest step').fill('0.01');
  await scales.getByRole('button', { name: 'Add the scale' }).click();
  await expect(page.getByText('Bears: Nothing typed yet')).toBeVisible();
  await scales.getByLabel('Bears').fill('1 lb');
  await scales.getByRole('button', { name: 'Add the scale' }).click();
  await expect(page.getByText('bears 453.592 g')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Double boiler')).toBeChecked();
  await expect(page.getByLabel('Largest grain of grit')).toHaveValue('1.25');
  await expect(page.getByLabel('Stays in the jug, of a new plan')).toHaveValue('0.5');
  await page.getByRole('button', { name: 'Take out Letter scale' }).click();
  await page.getByRole('status').filter({ hasText: 'Letter scale' }).getByRole('button').click();
  await expect(page.getByText('bears 453.592 g')).toBeVisible();
  await page.getByRole('button', { name: 'Take out Letter scale' }).click();
  await expect(page.getByText('Letter scale is taken away.')).toBeVisible();
  // Two jugs of one name are two jugs: one goes, the other stays.
  const jugs = page.getByRole('region', { name: 'Jugs' });
  for (const holds of ['600', '0', '1 L']) {
    await jugs.getByLabel('Name of the jug').fill('Twin');
    await jugs.getByLabel('Holds to the brim').fill(holds);
    await jugs.getByRole('button', { name: 'Add the jug' }).click();
  }
  await expect(jugs.getByText('Twin: holds')).toHaveCount(2);
  await jugs.getByRole('button', { name: 'Take out Twin' }).first().click();
  await expect(jugs.getByText('Twin: holds')).toHaveCount(1);
  await jugs.getByRole('button', { name: 'Take out Twin' }).click();
  await expect(jugs.getByText('Twin: holds')).toHaveCount(0);
  await page.getByLabel('Stays in the jug, of a new plan').fill('3');
  await page.getByLabel('Microwave in bursts').check();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
});

test('turned round: another base, what the shelf makes, and what to buy', async ({ page }) => {
  await page.goto('/plans?now&q=Bare');
  await expect(page.getByRole('link', { name: /Bare Face/ })).toBeVisible();
  await page.getByRole('link', { name: /Bare Face/ }).click();
  await page.getByText('Try another base').click();
  await page.getByLabel('Another base').selectOption({ label: 'Cream Lane' });
  const another = page.locator('details').filter({ hasText: 'Try another base' });
  await expect(another).toContainText('Cream Lane: usual density assumed');
  await expect(another).toContainText('Comes from milk');
  await another.getByRole('button', { name: 'Use this base' }).click();
  await expect(page.getByRole('combobox', { name: 'Base', exact: true })).toHaveValue('cream-lane');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('combobox', { name: 'Base', exact: true })).toHaveValue('softwater');
  await saved(page);
  await page.getByText('Work backwards').click();
  await page.getByRole('button', { name: 'Use this: as many pieces as the shelf makes' }).click();
  await expect(page.getByRole('textbox', { name: 'Pieces' })).not.toHaveValue('8');
  await page.keyboard.press('Control+z');
  await saved(page);

  await page.goto('/plans/buy');
  await page.getByLabel('Tinsmith’s Bar', { exact: true }).check();
  await page.getByLabel('Pieces of Tinsmith’s Bar').fill('2,5');
  await page.getByRole('button', { name: 'Work out what is needed' }).click();
  await expect(page.getByRole('alert')).toContainText('whole number');
  await page.getByLabel('Pieces of Tinsmith’s Bar').fill('40');
  await page.getByLabel('Bare Face', { exact: true }).check();
  await page.getByLabel('Nettle & Lime Head Bar', { exact: true }).check();
  await page.getByRole('button', { name: 'Work out what is needed' }).click();
  await expect(page.getByRole('row', { name: /Hold/ })).not.toContainText('enough');
  await expect(page.getByRole('row', { name: /Slate mica/ })).toContainText('enough');
  await expect(page.getByText(/at the last prices/)).toBeVisible();
});
