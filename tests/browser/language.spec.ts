import { execFileSync, spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { expect, type Locator, type Page, test } from '@playwright/test';
import { freePort, listen, type RunningServer, temporaryFolder } from '../support/server';

/** Built within the project, where its packages are found. */
const BUILT = resolve('node_modules/.cache/pseudo-language');
const data = temporaryFolder();
let server: RunningServer;
let base = '';

test.beforeAll(async () => {
  test.setTimeout(240_000);
  execFileSync(process.execPath, ['tests/support/pseudoWords.mjs', BUILT], { stdio: 'inherit' });
  execFileSync(process.execPath, ['--import', 'tsx', 'demo/seed.ts', data.path]);
  const port = await freePort();
  const words = [BUILT, '--data', data.path, '--port', String(port)];
  server = await listen(spawn(process.execPath, ['tests/support/serveBuilt.mjs', ...words]), port);
  base = server.base;
});

test.afterAll(async () => {
  await server.stop();
  data.remove();
  rmSync(BUILT, { recursive: true, force: true });
});

const MARKED = /⟦.*⟧/s;

async function opened(page: Page, path: string): Promise<void> {
  const failed: string[] = [];
  page.on('pageerror', (error) => failed.push(error.message));
  const answer = await page.goto(base + path);
  expect(answer?.ok(), path).toBe(true);
  expect(failed, path).toEqual([]);
}

/** Every one of them says something, and all of it between the marks. */
async function allMarked(locators: Locator): Promise<void> {
  await expect(locators.first()).toBeVisible();
  for (const text of await locators.allTextContents()) expect(text).toMatch(MARKED);
}

test('in a language that nobody speaks, every finding, task, field and length is told in it', async ({
  page,
}) => {
  const plans = (await (await fetch(`${base}/api/plans`)).json()) as { id: string; plan: { name: string } }[];
  const ferry = plans.find(({ plan }) => plan.name === 'Night Ferry')?.id ?? '';
  await opened(page, `/plans/${ferry}`);
  await expect(page.getByText('Working out when')).toBeHidden();
  const checks = page.getByRole('region', { name: 'Checks' }).getByRole('listitem');
  await expect(checks.first()).toBeVisible();
  for (const fold of await checks.locator('summary').all()) {
    await expect(fold).toHaveText(/: ⟦.*⟧$/);
    await fold.click();
  }
  for (const check of await checks.filter({ hasNot: page.locator('details') }).all()) {
    await expect(check.locator('p').nth(0)).toHaveText(/⟦.*⟧$/);
    await expect(check.locator('p').nth(1)).toHaveText(/^⟦.*⟧$/s);
  }
  await allMarked(page.getByRole('region', { name: 'Pour plan' }).getByText(/Done in/));
  await page.getByRole('button', { name: 'As a list' }).click();
  await allMarked(page.locator('tr[data-task] td:last-child'));

  await opened(page, `/plans/${ferry}/sheet`);
  await allMarked(page.locator('[data-task]'));

  const [run] = (await (await fetch(`${base}/api/runs`)).json()) as { id: string }[];
  await opened(page, `/bench/${run?.id}`);
  await allMarked(
    page
      .getByRole('heading', { level: 2 })
      .filter({ hasNotText: /^Round/ })
      .first(),
  );

  await opened(page, '/shelf');
  await page.getByRole('button', { name: 'New material' }).click();
  await page.getByLabel('Kind', { exact: true }).selectOption('additive');
  await expect(page.getByLabel('⟦Name⟧')).toBeVisible();
  await opened(page, '/molds');
  await page.getByRole('button', { name: 'New mold' }).click();
  await expect(page.getByLabel('⟦Cavities⟧')).toBeVisible();
  for (const path of [
    '/',
    '/plans',
    '/plans/buy',
    '/log',
    '/log/knows',
    '/bench',
    '/rack',
    '/products',
    '/products/stock',
    '/products/notice',
    '/house-rules',
  ])
    await opened(page, path);
});
