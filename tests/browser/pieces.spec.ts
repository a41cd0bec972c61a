import { expect, test } from '@playwright/test';
import type { Run } from '../../src/core/run/run';
import { fragrance } from '../support/planFiles';
import { given, made, ownFile, sent } from './workshop';

test('a loaf of the day before is cut, its ends go into two jars, are melted again with what they hold, and a lot is recalled through them', async ({
  page,
  request,
}) => {
  test.setTimeout(90_000);
  const scent = fragrance({ name: 'Loaf scent', maxOfProduct: 0.03 });
  const { plan, ...file } = ownFile([[scent, '2 %']], { pieces: 8 });
  const shape = { kind: 'box', lengthMm: 200, widthMm: 80, depthMm: 62.5, draftDeg: 0, cornerMm: 0 } as const;
  const mold = { ...file.mold, cavities: 1, capacityMl: 1000, shape, sliceMm: 25 };
  const { id } = await given(request, { ...file, mold, plan });
  const ownScent = file.materials.find(({ kind }) => kind === 'fragrance');
  const lotId = crypto.randomUUID();
  const bought = await request.post('/api/lots', {
    data: {
      item: { kind: 'material', id: ownScent?.id },
      ...{ number: 'R-41', boughtOn: '2026-01-05', price: '20', discountFraction: 0, amount: 500 },
      ...{ bestBefore: null, openedOn: null, note: '' },
    },
    headers: { 'idempotency-key': lotId },
  });
  expect(bought.status()).toBe(201);
  const yesterday = new Date(Date.now() - 18 * 3600_000);
  const run = await made(request, id, 'r1/unmold', yesterday);

  await page.goto('/rack');
  const row = page.locator(`[data-run="${run.id}"]`);
  await row.getByRole('button', { name: 'It is out' }).click();
  await row.getByRole('button', { name: 'Still warm' }).click();
  await expect(row).toContainText('It is still warm: cut it now.');
  await row.getByRole('link', { name: 'Cut it and say into what' }).click();

  // Bad figures are told at their field, and nothing is kept.
  const gave = page.getByLabel('Gave');
  await expect(gave).toHaveValue('8');
  for (const bad of ['0', '-3', '2,5', '½', 'constructor', '1e9', '']) {
    await gave.fill(bad);
    await page.getByRole('button', { name: 'It is cut' }).click();
    await expect(page.getByText('Nothing was saved.')).toBeVisible();
    await expect(gave).toHaveAttribute('aria-invalid', 'true');
  }
  await gave.fill('7');
  await page.getByLabel('Weights of some or all, g').fill('120 118,5 121');
  await page.getByLabel('Crumbs and what is thrown away').fill('12');
  await page.getByRole('button', { name: 'It is cut' }).click();
  const list = page.getByRole('region', { name: 'Cut and set aside' });
  await expect(list).toContainText(
    /1 block into 7, equal bars; 3 weighed, 119\.8\d? g on average; 12\.0 g of crumbs/,
  );

  // Two bars were dropped; the ends go into two jars, some of them twice as a double press would.
  await expect(page.getByRole('button', { name: 'It is set aside' })).toBeVisible();
  await page.getByRole('radio', { name: 'Pieces' }).check();
  await page.getByRole('textbox', { name: 'Pieces' }).fill('2');
  await page.getByRole('radio', { name: 'Thrown away' }).check();
  await page.getByRole('button', { name: 'It is set aside' }).click();
  await expect(list).toContainText(/2 pieces, .*thrown away: dropped on the floor/);
  const jar = (name: string) => `${name} ${run.code}`;
  for (const [name, massG] of [
    ['White ends', '300'],
    ['Drips', '20'],
  ] as const) {
    await page.getByLabel('Weight').fill(massG);
    await page.getByLabel('Jar', { exact: true }).fill(jar(name));
    await page.getByRole('button', { name: 'It is set aside' }).dblclick();
    await expect(list).toContainText(`into the jar “${jar(name)}”`);
  }
  await expect(list.getByRole('button', { name: 'Take it back' })).toHaveCount(4);
  await page.getByLabel('Weight').fill('9000');
  await page.getByRole('button', { name: 'It is set aside' }).click();
  await expect(page.getByText(/More than the .* that are not told of yet/)).toBeVisible();

  // Five are left to be looked at; a sixth is not there.
  await page.getByRole('button', { name: 'Look at it' }).click();
  await expect(page.getByText('Of 7 pieces')).toBeVisible();
  await page.reload();
  await expect(list).toContainText('1 block into 7');

  // A fault is marked on the section and on the face; a photograph of twelve million points is made small, one that is none is named.
  await page.getByRole('button', { name: 'Look at it' }).click();
  await page.getByRole('button', { name: 'Bubbles' }).click();
  for (const side of ['cut through', 'from above'])
    await page
      .getByRole('button', { name: `Where on the piece: Bubbles, ${side}` })
      .click({ position: { x: 70, y: 50 } });
  await expect(page.getByRole('button', { name: 'Take the marks off' })).toBeVisible();
  await page.getByLabel('Good').fill('5');
  await page.getByRole('button', { name: 'Write it down' }).click();
  for (const side of ['cut through', 'from above'])
    await expect(page.getByRole('img', { name: `Bubbles, ${side}: 1 place marked` })).toBeVisible();
  const picture = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(4000, 3000);
    const pen = canvas.getContext('2d');
    for (let n = 0; pen && n < 4000; n++) {
      pen.fillStyle = `hsl(${n * 7} 60% 50%)`;
      pen.fillRect((n * 397) % 4000, (n * 613) % 3000, 90, 70);
    }
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.95 });
    return btoa(
      [...new Uint8Array(await blob.arrayBuffer())].map((byte) => String.fromCharCode(byte)).join(''),
    );
  });
  const photo = { name: 'bars.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(picture, 'base64') };
  const none = { name: 'note.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture at all') };
  await page.getByLabel('A word with the next ones').fill('Left side');
  await page.getByLabel('Photographs to add').setInputFiles([none, photo]);
  const photos = page.getByRole('region', { name: 'Photographs' });
  await expect(photos.getByRole('alert')).toContainText(
    '“note.jpg”: it is no picture that this browser can open',
  );
  const shown = photos.getByRole('img');
  await expect(shown).toHaveCount(1);
  await expect(shown).toHaveAttribute('width', '1600');
  await expect(photos.getByText('Left side')).toBeVisible();
  const kept = await request.get((await shown.getAttribute('src')) ?? '');
  expect([kept.status(), kept.headers()['content-type']]).toEqual([200, 'image/jpeg']);
  expect((await kept.body()).length).toBeLessThan(400_001);
  await page.getByLabel('Photographs to add').setInputFiles(Array.from({ length: 21 }, () => none));
  await expect(photos.getByRole('alert')).toContainText('1 left out: no more than 20');
  for (const bad of ['constructor', '0'.repeat(64), '..%2f..%2fworkshop.sqlite'])
    expect((await request.get(`/api/files/${bad}`)).status()).toBe(404);
  expect((await request.post('/api/files', { data: Buffer.from('<svg onload="x">') })).status()).toBe(415);

  // Another plan melts the jar again, by half.
  const next = ownFile([]);
  const again = await given(request, next);
  await page.goto(`/plans/${again.id}`);
  await page.getByText('How it is poured, what is set in').click();
  await page.getByLabel('Melted again in A, from a scrap jar').selectOption({ label: jar('White ends') });
  await page.getByLabel('Of the base', { exact: true }).fill('50');
  await page.getByLabel('Of the base', { exact: true }).blur();
  await expect(page.getByRole('row', { name: new RegExp(`^${ownScent?.name} melted again`) })).toContainText(
    '0.98 %',
  );
  await page.getByText(/notes? on the plan/).click();
  await expect(page.getByText(`${jar('White ends')} is melted again in A`)).toBeVisible();
  await expect
    .poll(
      async () => (await (await request.get(`/api/plans/${again.id}`)).json()).plan.pours[0].remelt?.ofBase,
    )
    .toBe(0.5);
  const second = await made(request, again.id);
  await sent(request, second.id, { kind: 'finished', verdict: 'good', goodPieces: 6, note: '' });
  await page.goto(`/trace/${(await bought.json()).item.id}`);
  await expect(page.getByRole('row').filter({ hasText: next.plan.name })).toContainText(`Batch ${run.code}`);

  // At the bench, what is weighed is told by its parts.
  const third: Run = await (
    await request.post('/api/runs', { data: { id: crypto.randomUUID(), planId: again.id } })
  ).json();
  await page.goto(`/bench/${third.id}`);
  await expect(page.getByText(new RegExp(`of ${jar('White ends')}, into one jug`))).toBeVisible();
  await sent(request, third.id, { kind: 'abandoned', note: '' });

  // The Logbook finds it by what was written anywhere, and sorts it out.
  await sent(request, second.id, { kind: 'remarked', note: 'Käfer on the sill' });
  await page.goto(`/log?q=${encodeURIComponent('kafer sill')}`);
  await expect(page.getByRole('link', { name: next.plan.name })).toBeVisible();
  await page.goto(`/log?q=${encodeURIComponent(jar('White ends'))}`);
  await expect(page.getByRole('link', { name: `Material: ${jar('White ends')}` })).toBeVisible();
  await page.goto('/log');
  await page.getByRole('navigation', { name: 'Sort out' }).getByRole('link', { name: /^Good/ }).click();
  await expect(page.getByRole('link', { name: /^Good.*chosen/ })).toBeVisible();
  for (const bad of ['"', '*', "' OR 1", 'NEAR(', 'constructor', '🧼', '%'])
    expect(
      (await request.get(`/log?q=${encodeURIComponent(bad)}&verdict=${encodeURIComponent(bad)}`)).status(),
    ).toBe(200);

  // What was used can't be taken back.
  await page.goto(`/rack/${run.id}?round=1`);
  await list.getByRole('listitem').filter({ hasText: 'White ends' }).getByRole('button').click();
  await expect(page.getByRole('alert')).toContainText('Some of it has been used since');
});

test('cubes are made, cut and kept, set into another plan as parts, and a lot is traced through them to the end', async ({
  page,
  request,
}) => {
  const scent = fragrance({ name: 'Cube scent' });
  const cubes = ownFile([[scent, '2 %']], { pieces: 6 });
  const { id } = await given(request, cubes);
  const own = cubes.materials.find(({ kind }) => kind === 'fragrance');
  const bought = await request.post('/api/lots', {
    data: {
      item: { kind: 'material', id: own?.id },
      ...{ number: 'R-52', boughtOn: '2026-01-05', price: null, discountFraction: 0, amount: 500 },
      ...{ bestBefore: null, openedOn: null, note: '' },
    },
    headers: { 'idempotency-key': crypto.randomUUID() },
  });
  const run = await made(request, id);
  await page.goto(`/rack/${run.id}?round=1`);
  const list = page.getByRole('region', { name: 'Cut and set aside' });
  // Two pieces into four each: eight small ones, and four that were not cut.
  await page.getByRole('button', { name: 'Cut', exact: true }).click();
  await page.getByRole('textbox', { name: 'Pieces' }).fill('2');
  await page.getByLabel('Gave').fill('8');
  await page.getByRole('button', { name: 'It is cut' }).click();
  await expect(list).toContainText('2 pieces into 8');
  await page.getByRole('button', { name: 'Set aside', exact: true }).click();
  await page.getByRole('radio', { name: 'Pieces' }).check();
  await page.getByRole('textbox', { name: 'Pieces' }).fill('4');
  await page.getByRole('radio', { name: 'Kept to be set in' }).check();
  await page.getByRole('button', { name: 'It is set aside' }).click();
  await expect(list).toContainText(/4 pieces, .*kept to be set in/);

  // Twelve wedges of another plan take three of the four.
  const outer = ownFile([], { pieces: 6 });
  const wedges = await given(request, outer);
  await page.goto(`/plans/${wedges.id}`);
  await page.getByText('How it is poured, what is set in').click();
  await page.getByRole('button', { name: 'Set pieces in' }).click();
  await page.getByRole('combobox', { name: 'Set in', exact: true }).selectOption({ label: cubes.plan.name });
  await page.getByLabel('In each cavity').fill('2');
  await page.getByLabel('Cut each into').fill('4');
  await page.getByLabel('Cut each into').blur();
  await expect(page.getByText(/out of 3 whole ones/)).toBeVisible();
  await expect
    .poll(async () => (await (await request.get(`/api/plans/${wedges.id}`)).json()).plan.pours[0].embeds?.[0])
    .toMatchObject({ perPiece: 2, partsOfOne: 4 });
  const second = await made(request, wedges.id);
  await sent(request, second.id, { kind: 'finished', verdict: 'good', goodPieces: 6, note: '' });
  const left = await (await request.get(`/api/lots?material=${id}`)).json();
  expect(left[0].left).toBe(1);
  await page.goto(`/trace/${(await bought.json()).item.id}`);
  await expect(page.getByRole('row').filter({ hasText: outer.plan.name })).toContainText(`Batch ${run.code}`);
  await expect(page.getByRole('row').filter({ hasText: cubes.plan.name })).toContainText('kept to be set in');
});
