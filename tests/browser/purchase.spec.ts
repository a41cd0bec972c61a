import { expect, test } from '@playwright/test';
import { fragrance } from '../support/planFiles';
import { HANDS, handOf } from './hands';
import { looksRight } from './looksRight';
import { bought, given, ownFile, saved } from './workshop';

for (const hand of HANDS) {
  test(`by ${hand}: what to buy is ordered, comes, is put aside and released; its postage is in its price`, async ({
    browser,
    request,
  }) => {
    const { page, press, pressTwice, write } = await handOf(hand, browser);
    const file = ownFile([[fragrance({ name: 'Ordered scent' }), '2 %']]);
    const { id } = await given(request, file);
    const scent = file.materials.find(({ kind }) => kind === 'fragrance');
    const base = file.materials.find(({ kind }) => kind === 'base');
    await bought(request, base?.id, '100', 10_000);
    await bought(request, scent?.id, '20', 1);
    await page.goto(`/plans/buy?plan=${id}`);
    const order = page.getByRole('form', { name: 'Order this' });
    await press(order.getByRole('button', { name: 'Order this' }));
    await expect(order.getByText('Write something here.')).toBeVisible();
    await write(order.getByLabel('Supplier'), `Quay Supplies by ${hand}`);
    await pressTwice(order.getByRole('button', { name: 'Order this' }));
    await page.waitForURL(/\/purchases\/[0-9a-f-]{36}$/);

    const name = scent?.name ?? '';
    await expect(page.getByTestId('purchase-state')).toContainText('a list, not ordered yet');
    await write(page.getByLabel(`Amount of ${name}`), '2,5 lots');
    await expect(page.getByRole('alert')).toBeVisible();
    await write(page.getByLabel(`Amount of ${name}`), '100 g');
    await write(page.getByLabel(`Price of ${name}`), '30');
    await write(page.getByLabel('Postage of all of it'), '4.50');
    await press(page.getByRole('button', { name: 'It is ordered today' }));
    await saved(page);
    await expect(page.getByTestId('purchase-state')).toContainText('ordered; €34.50 with its postage');
    await looksRight(page, 'a purchase that is ordered');

    await press(page.getByRole('button', { name: `It came: ${name}` }));
    const form = page.getByRole('form', { name: `What came of ${name}` });
    await press(form.getByRole('button', { name: 'Put it on the shelf' }));
    await expect(form.getByText('Write something here.')).toBeVisible();
    await write(form.getByLabel('Lot number, as on the pack'), 'OS-7');
    await form.getByLabel('Best before').fill('2028-05-01');
    await write(form.getByLabel(/^Put aside until/), 'its certificate');
    await looksRight(page, 'what came of a purchase');
    await pressTwice(form.getByRole('button', { name: 'Put it on the shelf' }));
    await expect(page.getByTestId('purchase-state')).toContainText('all of it has come');
    await expect(page.getByText('100.0 g came')).toBeVisible();
    await expect(page.getByText('€4.50 of the postage')).toBeVisible();
    await page.reload();
    await expect(page.getByText('put aside until its certificate')).toBeVisible();

    // The plan still lacks it, until it is released.
    const lacks = async () => {
      await page.goto(`/plans/buy?plan=${id}`);
      return page.getByRole('row', { name: new RegExp(name) }).innerText();
    };
    expect(await lacks()).not.toContain('enough');
    await page.goto(`/shelf?material=${scent?.id}&side=lots`);
    const lot = page.locator('details', { hasText: 'OS-7' });
    await press(lot.locator('summary'));
    // 30 and 4.50 for 100 g.
    await expect(lot).toContainText('€34.50 / 100 g');
    await press(lot.getByRole('button', { name: 'Release it' }));
    await expect(lot.getByText('put aside until')).toHaveCount(0);
    expect(await lacks()).toContain('enough');

    await page.goto('/purchases');
    await expect(
      page.getByRole('row', { name: new RegExp(`Quay Supplies by ${hand}.*all of it has come`) }),
    ).toBeVisible();
  });
}
