import { expect, test } from '@playwright/test';
import { planFile } from '../support/planFiles';
import { send, startServer, temporaryFolder } from '../support/server';
import { looksRight } from './looksRight';

test('a tablet is let in by a code, ticks at the bench over plain HTTP, and is removed', async ({
  page,
  browser,
}) => {
  const folder = temporaryFolder();
  const server = await startServer(folder.path, ['--share-at', '127.0.0.2']);
  const plan = (await send(server.base, 'POST', '/api/plans/import', planFile([{}]))).body;
  const runId = crypto.randomUUID();
  await send(server.base, 'POST', '/api/runs', { id: runId, planId: plan.id });
  await page.goto(`${server.base}/house-rules`);
  await page.getByRole('link', { name: 'Tablets at the bench' }).click();
  await page.getByRole('button', { name: 'Make a code' }).click();
  const link = await page.getByText(/\/let-in\?code=/).innerText();
  await looksRight(page, 'a code for a tablet');

  const context = await browser.newContext({
    viewport: { width: 1024, height: 768 },
    hasTouch: true,
  });
  // What a browser does not give to a page that came over plain HTTP from another machine.
  await context.addInitScript(() => {
    Object.defineProperty(crypto, 'randomUUID', { value: undefined });
    for (const [owner, name] of [
      [Navigator.prototype, 'serviceWorker'],
      [window, 'SharedWorker'],
      [window, 'caches'],
    ] as const)
      Reflect.deleteProperty(owner, name);
  });
  const tablet = await context.newPage();
  await tablet.goto(link);
  await looksRight(tablet, 'a device that is asked for its name');
  await tablet.getByLabel('What is this device called?').fill('Tablet at the bench');
  await tablet.getByRole('button', { name: 'Let it in' }).tap();
  await expect(tablet.getByRole('heading', { name: 'Bench' })).toBeVisible();
  await expect(page.getByText('Tablet at the bench since')).toBeVisible();
  await tablet.locator(`a[href="/bench/${runId}"]`).tap();
  await tablet.waitForURL(/\/bench\/.+/);
  await tablet.getByLabel('On the scale').fill('612');
  await tablet.getByRole('button', { name: 'Tick', exact: true }).tap();
  await expect(tablet.getByRole('button', { name: /ticked/ })).toContainText('612.0 g');
  await page.goto(`${server.base}/bench/${runId}`);
  await expect(page.getByRole('button', { name: /ticked/ })).toContainText('612.0 g');
  // Each follows the other, without a shared worker, too.
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(tablet.getByRole('button', { name: /ticked/ })).toHaveCount(2);

  await page.goto(`${server.base}/devices`);
  // An instrument of the network is given a secret, which is shown once.
  const secret = page.getByRole('button', { name: 'Give it a secret' });
  await secret.click();
  await expect(page.getByRole('alert')).toContainText('Name: it is missing');
  await page.getByLabel('What it is called').fill('Scale by the window');
  await secret.click();
  const line = page.getByText(/^curl -H 'Authorization: Bearer /);
  await expect(line).toContainText('/api/instruments/Scale%20by%20the%20window/readings');
  await looksRight(page, 'an instrument of the network');
  const [, token = ''] = /Bearer ([\w.-]+)/.exec(await line.innerText()) ?? [];
  const sent = await fetch(`http://127.0.0.2:${server.port}/api/instruments/window/readings`, {
    method: 'POST',
    headers: { authorization: `Bearer ${token}`, 'content-type': 'text/plain' },
    body: 'ST 12.4 g',
  });
  expect(sent.status).toBe(200);
  await page.getByRole('button', { name: 'Remove Scale by the window' }).click();
  await page.getByRole('button', { name: 'Remove Tablet at the bench' }).click();
  await expect(page.getByText('No device was let in yet.')).toBeVisible();
  await tablet.reload();
  await expect(tablet.getByRole('heading', { name: 'This device is not let in' })).toBeVisible();
  await looksRight(tablet, 'a device that was not let in');
  await context.close();
  await server.stop();
  folder.remove();
});
