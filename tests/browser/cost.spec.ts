import { expect, test } from '@playwright/test';
import type { Run } from '../../src/core/run/run';
import { fragrance } from '../support/planFiles';
import { nextEvent } from '../support/runs';
import { startServer, temporaryFolder } from '../support/server';
import { looksRight } from './looksRight';
import { bought, given, ownFile, sheetOfPlan } from './workshop';

test('a plan says what it costs and sells for, and a run what it really cost, by its causes; a price that is not known is asked for', async ({
  page,
  playwright,
}) => {
  // A workshop of its own: what hands cost is asked of the house rules.
  const folder = temporaryFolder();
  const server = await startServer(folder.path);
  const request = await playwright.request.newContext({ baseURL: server.base });
  const file = ownFile([[fragrance({ name: 'Cost scent' }), '2 %']]);
  const { id } = await given(request, file);
  const [base, scent] = ['base', 'fragrance'].map((of) => file.materials.find(({ kind }) => kind === of));
  await bought(request, base?.id, '100', 10_000);
  const unpriced = await bought(request, scent?.id, null, 500);

  await page.goto(`${server.base}/plans/${id}`);
  await page.getByText('What it costs').click();
  await expect(page.getByText(`No price is known of ${scent?.name}`)).toBeVisible();
  await expect(page.getByText(/^at least €/).first()).toBeVisible();
  await expect(page.getByText('Price of a piece')).toHaveCount(0);
  const lot = (await (await request.get(`/api/lots?material=${scent?.id}`)).json())[0];
  const priced = await request.put(`/api/lots/${unpriced}`, {
    data: { item: { ...lot.item, price: '100' }, revision: lot.revision },
  });
  expect(priced.status()).toBe(200);
  await page.reload();
  await page.getByText('What it costs').click();
  // Base at 0.01 and scent at 0.2 a gram.
  const sheet = await sheetOfPlan(request, id);
  const baseG = sheet.totals.baseG;
  const costs = baseG * 0.01 + baseG * 0.02 * 0.2;
  const term = (name: string) => page.locator('dt', { hasText: name }).locator('+ dd');
  await expect(term('Together')).toHaveText(`€${costs.toFixed(2)}`);
  await expect(term('Each of')).toHaveText(`€${(costs / sheet.pieces).toFixed(2)}`);
  await expect(page.getByText(/^Retail €/)).toBeVisible();
  await page.getByText('Ingredients in order').click();
  await expect(page.getByText(`${base?.name}, Parfum`, { exact: true })).toBeVisible();

  // Twice as many with half the scent: told beside the plan, which stays as it is until it is asked to be so.
  const section = page.getByRole('region', { name: 'Section' });
  await section.getByText('What if', { exact: true }).click();
  await section.getByLabel('Pieces', { exact: true }).fill('0');
  await expect(section.getByRole('alert')).toBeVisible();
  await section.getByLabel('Pieces', { exact: true }).fill(String(2 * sheet.pieces));
  await section.getByLabel('A dose').selectOption({ label: `A · ${scent?.name}, 2 %` });
  const triedDose = section.getByLabel(`A · ${scent?.name}, tried`);
  await triedDose.fill('constructor');
  await expect(section.getByRole('alert')).toBeVisible();
  await triedDose.fill('1 %');
  const tried = section.getByRole('table', { name: 'What the plan costs now, and as it is tried' });
  const together = tried.getByRole('row', { name: /^Together/ });
  await expect(together).toContainText(`€${costs.toFixed(2)}`);
  await expect(section.getByText(/^A piece costs €\d+\.\d\d less\.$/)).toBeVisible();
  await looksRight(page, 'what a plan costs, and would cost');
  expect((await sheetOfPlan(request, id)).pieces).toBe(sheet.pieces);
  await section.getByRole('button', { name: 'Make the plan so' }).click();
  await expect.poll(async () => (await sheetOfPlan(request, id)).pieces).toBe(2 * sheet.pieces);
  const twice = (await sheetOfPlan(request, id)).totals.baseG;
  await expect(term('Together')).toHaveText(`€${(twice * 0.01 + twice * 0.01 * 0.2).toFixed(2)}`);
  await expect(triedDose).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await sheetOfPlan(request, id)).pieces).toBe(sheet.pieces);

  // Ten parts of a hundred too much base is weighed, and one of six bars is not good.
  let run: Run = await (
    await request.post('/api/runs', { data: { id: crypto.randomUUID(), planId: id } })
  ).json();
  const send = async (event: unknown) => {
    const data = { eventId: crypto.randomUUID(), event };
    run = await (await request.post(`/api/runs/${run.id}/events`, { data })).json();
  };
  for (let event = nextEvent(run, 1.1); event; event = nextEvent(run, 1.1)) await send(event);
  await send({ kind: 'finished', verdict: 'good', goodPieces: sheet.pieces - 1, note: '' });
  await page.goto(`${server.base}/log/${run.id}`);
  const cost = page.getByRole('region', { name: 'What it cost, planned and really' });
  await expect(cost.getByRole('row', { name: /^Together/ })).toContainText(
    `€${costs.toFixed(2)} €${(costs * 1.1).toFixed(2)}`,
  );
  await expect(cost).toContainText(`${base?.name}: +€${(baseG * 0.001).toFixed(2)} for more of it`);
  await expect(cost).toContainText(`as ${sheet.pieces - 1} carry it and not ${sheet.pieces}`);
  // What is in it, in order: the base by its list, the scent by its name and its allergens.
  await page.getByText('Ingredients in order').click();
  await expect(page.getByText(`No list of ingredients: ${base?.name}`)).toBeVisible();
  const material = (await (await request.get(`/api/materials/${base?.id}`)).json()) as {
    item: object;
    revision: number;
  };
  const listed = { ...material.item, inci: ['Glycerin', 'AQUA', 'Sodium Stearate'] };
  const saved = await request.put(`/api/materials/${base?.id}`, {
    data: { item: listed, revision: material.revision },
  });
  expect(saved.status()).toBe(200);
  const again = await request.post('/api/runs', { data: { id: crypto.randomUUID(), planId: id } });
  run = await again.json();
  for (let event = nextEvent(run); event; event = nextEvent(run)) await send(event);
  await send({ kind: 'finished', verdict: 'good', goodPieces: sheet.pieces, note: '' });
  await page.goto(`${server.base}/log/${run.id}`);
  await page.getByText('Ingredients in order').click();
  await expect(page.getByText('Glycerin, Aqua, Sodium Stearate, Parfum', { exact: true })).toBeVisible();
  await expect(page.getByText('Glycerin, Water, Sodium Stearate, Fragrance', { exact: true })).toBeVisible();
  // 102 g of which 100 are base: a third of it at the least, and all of it but next to nothing at the most.
  await expect(page.getByRole('row', { name: /^Glycerin/ })).toContainText('32.7 to 98 %');
  await expect(page.getByRole('row', { name: /^Parfum/ })).toContainText('2 %');
  await looksRight(page, 'what a run cost and holds');
  await page.goto(`${server.base}/plans?q=${encodeURIComponent(file.plan.name)}`);
  await expect(page.getByText(`€${(costs / sheet.pieces).toFixed(2)} of materials`)).toBeVisible();
  await request.dispose();
  await server.stop();
  folder.remove();
});
