import { expect, test } from '@playwright/test';
import { allDrawn } from './workshop';

/** Presses Tab until the focus is on something with this name. */
async function tabTo(page: import('@playwright/test').Page, name: RegExp) {
  for (let presses = 0; presses < 80; presses++) {
    await page.keyboard.press('Tab');
    const here = await page.evaluate(() => {
      const at = document.activeElement as HTMLElement | null;
      // Past the last field the focus is on the page itself, which holds every text.
      if (at === document.body) return '';
      const labels = (at as HTMLInputElement | null)?.labels;
      return (
        [at?.getAttribute('aria-label'), labels?.[0]?.textContent, at?.textContent].find((text) => text) ?? ''
      );
    });
    if (name.test(here)) return;
  }
  throw new Error(`Tab never came to ${name}`);
}

test('by keyboard alone: new plan, doses, over the cap, mend, bench with 3 % more base, Logbook', async ({
  page,
}) => {
  await page.goto('/');
  await page.keyboard.press('Alt+2');
  await expect(page.getByRole('heading', { name: 'Plans', level: 1 })).toBeVisible();
  await allDrawn(page);
  await tabTo(page, /New plan/);
  await page.keyboard.press('Enter');
  await page.keyboard.type('Keys Only');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.type('Slab');
  await page.keyboard.press('Tab');
  await page.keyboard.type('Glaze');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/plans\/[0-9a-f-]{36}$/);
  await expect(page.getByRole('heading', { name: 'Checks' })).toBeVisible();

  await tabTo(page, /Material to add/);
  await page.keyboard.type('Bay');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Bay & Rope Fragrance' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Dose of Bay & Rope')).toBeFocused();
  await page.keyboard.type('3,5 %');

  // 3.5 % is over the base's cap of 3 % and over the supplier's 2.8 % of product: two stops, two mends.
  await expect(page.getByText('Fragrance 3.5 % of base, cap 3 %')).toBeVisible();
  await expect(page.getByRole('button', { name: 'To the bench' })).toBeDisabled();
  await tabTo(page, /^Bring down to 2\.88 % of base/);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Within every limit the shelf knows.')).toBeVisible();
  await expect(page.getByLabel('Dose of Bay & Rope')).toHaveValue('2.8806 %');

  // One step back and forward again.
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Dose of Bay & Rope')).toHaveValue('3,5 %');
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByLabel('Dose of Bay & Rope')).toHaveValue('2.8806 %');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  // By hand: 6 cavities of 104 mL to 95 %, 3 % kept by the jug, is 611.134 mL in the jug. A gram of Glaze with
  // 2.8806 % of scent takes 1/1.06 + 0.028806/0.94 = 0.974041 mL: 627.42 g of base and 18.07 g of scent.
  await expect(page.getByRole('cell', { name: '627.4', exact: true })).toBeVisible();
  await expect(page.getByRole('row', { name: /Bay & Rope/ })).toContainText('18.1');

  await tabTo(page, /To the bench/);
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/bench\//);
  await expect(page.getByTestId('target')).toHaveText(/627\.4\s*g/);
  await expect(page.getByLabel('On the scale')).toBeFocused();
  const tasks = page.getByRole('navigation', { name: 'Tasks' });
  await expect(tasks.getByRole('button', { name: /Bay & Rope/ })).toContainText('18.1 g');
  await page.keyboard.type('646.2');
  // 646.2 / 627.42 = 1.0299: the dose follows before anything is ticked.
  await expect(tasks.getByRole('button', { name: /Bay & Rope/ })).toContainText('18.6 g');
  await expect(page.getByText(/2\.99 % more: 18\.8 g over\./)).toBeVisible();
  await page.keyboard.press('Enter');

  await expect(page.getByRole('heading', { name: 'Melt' })).toBeVisible();
  await tabTo(page, /^Done$/);
  await page.keyboard.press('Space');
  await expect(page.getByTestId('target')).toHaveText(/18\.6\s*g/);
  await page.keyboard.type('18.6 ');
  await expect(page.getByRole('heading', { name: 'Pour' })).toBeVisible();
  await tabTo(page, /^Done$/);
  await page.keyboard.press('Enter');
  // The run stays open while it sets, until it is out of the mold.
  await expect(page.getByRole('heading', { name: 'Unmold' })).toBeVisible();
  await tabTo(page, /^Done$/);
  await page.keyboard.press('Enter');

  await tabTo(page, /^Good$/);
  await page.keyboard.press('ArrowDown');
  await tabTo(page, /Note/);
  await page.keyboard.type('A corner broke.');
  await tabTo(page, /Into the Logbook/);
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'See it in the Logbook' }).press('Enter');
  await page.waitForURL(/\/log\//);
  await expect(
    page.getByRole('region', { name: /^Weights/ }).getByRole('row', { name: /Glaze/ }),
  ).toContainText('+2.99 %');
  await expect(
    page.getByRole('region', { name: /^Weights/ }).getByRole('row', { name: /Bay & Rope/ }),
  ).toContainText('18.6 g');
  await expect(page.getByText('Fair', { exact: true })).toBeVisible();
  await expect(page.getByText('A corner broke.')).toBeVisible();
});

test('the keys are shown by ? and not while something is typed', async ({ page }) => {
  await page.goto('/shelf');
  await allDrawn(page);
  await page.getByLabel('Search the shelf by name').press('?');
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.locator('#main').focus();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.getByText('opens this').click();
  await page.keyboard.press('Escape');
  await page.locator('#main').focus();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeHidden();
});
