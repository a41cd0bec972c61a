import { expect, type Page, test } from '@playwright/test';
import { copyOf, given, ownFile, scent } from './workshop';

test('drops are counted by a press each, or all of them as they were planned; counted onto a scale they teach the bottle', async ({
  page,
  request,
}) => {
  const { id: planId, file } = await given(request, ownFile([[scent, '120 drops']]));
  const id = crypto.randomUUID();
  await request.post('/api/runs', { data: { id, planId } });
  await page.goto(`/bench/${id}`);
  const target = (await page.getByTestId('target').textContent()) ?? '';
  await page.getByRole('button', { name: 'Scale and thermometer' }).click();
  await page.getByLabel('Which scale').selectOption('stand-in');
  await expect(page.getByTestId('live')).toHaveAttribute('data-place', 'nothing');
  await page.getByLabel('Or typed').fill(target.replace(/[^\d.]/g, ''));
  await page.getByRole('button', { name: 'Tick', exact: true }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  const counted = page.getByLabel('Counted out');
  for (const count of ['1', '2', '3']) {
    await page.getByRole('button', { name: 'One more' }).click();
    await expect(counted).toHaveValue(count);
  }
  await page.getByRole('button', { name: 'As planned' }).click();
  await expect(counted).toHaveValue('120');
  await expect(page.locator('#scale-says')).toContainText('Just as aimed at.');
  // On a scale, what was counted is what that shows.
  for (let put = 0; put < 6; put++) await page.getByRole('button', { name: '+ 1.00 g' }).click();
  await expect(page.getByTestId('live')).toContainText(/6\.0|5\.9/);
  await expect(page.locator('#scale-says')).toContainText('more');
  await page.getByRole('button', { name: 'Tick', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Pour' })).toBeVisible();
  await page.getByText('What came of it').click();
  await page.getByRole('button', { name: /by the scale$/ }).click();
  await expect(page.getByLabel('Left in the jug')).toHaveValue(/^(?:6|5\.9)/);
  for (const heading of ['Pour', 'Unmold']) {
    await expect(page.getByRole('heading', { name: heading })).toBeVisible();
    await page.getByRole('button', { name: 'Done' }).click();
  }
  await page.getByRole('button', { name: 'Into the Logbook' }).click();
  await page.getByRole('link', { name: 'See it in the Logbook' }).click();
  const taught = page.getByRole('region', { name: 'What it taught' });
  await expect(taught).toContainText(
    /120 drops weighed (?:6\.0|5\.9)\d? g, (?:49|50) mg each; the plan counted with 4[78] mg/,
  );
  await expect(taught).toContainText(/of what was in 1 jug stayed there/);
  const readings = async () => {
    const material = file.plan.pours[0]?.doses[0]?.materialId;
    return (await (await request.get(`/api/materials/${material}`)).json()).item.readings;
  };
  await taught.getByRole('button', { name: /^Count with it for Scent/ }).click();
  await expect(taught.getByRole('status').filter({ hasText: 'Kept' })).toBeVisible();
  expect(await readings()).toMatchObject([{ of: 'drops', count: 120, runId: id }]);
  await page.reload();
  await expect(taught.getByRole('status').filter({ hasText: 'Kept' })).toBeVisible();
  await expect(taught.getByRole('button', { name: 'Undo' })).toHaveCount(0);
});

test('a scale is followed: it ticks by itself when it stands still, is unplugged and typed on, and what others send is shown', async ({
  page,
  request,
}) => {
  const { id: planId } = await given(request, ownFile([[scent, '2 %']]));
  const id = crypto.randomUUID();
  expect((await request.post('/api/runs', { data: { id, planId } })).ok()).toBe(true);
  await page.goto(`/bench/${id}`);
  await page.getByRole('button', { name: 'Scale and thermometer' }).click();
  await page.getByLabel('Which scale').selectOption('stand-in');
  const standIn = page.getByRole('group', { name: 'Stand-in scale' });
  const live = page.getByTestId('live');
  await expect(live).toHaveAttribute('data-place', 'nothing');
  await standIn.getByRole('button', { name: '+ 100.0 g' }).click();
  await expect(live).toHaveAttribute('data-place', 'below');
  await expect(live).toContainText(/100\.\d g/);
  await expect(page.getByText('stands still')).toBeVisible();
  // Another task is looked at in between: what was on the scale still counts.
  await page.locator('[data-task="r1/A/l1/pour"]').click();
  await page.getByRole('button', { name: 'Back to the task in hand' }).click();
  await expect(live).toHaveAttribute('data-place', 'below');
  await page.getByRole('button', { name: 'Tare' }).click();
  await expect(live).toHaveAttribute('data-place', 'nothing');

  // Pulled out in the middle, the weight is typed; plugged in, it begins at nothing.
  await standIn.getByRole('button', { name: 'Unplug the scale' }).click();
  await expect(page.getByText('The scale is gone: type the weight.')).toBeVisible();
  await page.getByLabel('On the scale').fill('12');
  await expect(page.locator('#scale-says')).toContainText('short');
  await page.getByLabel('On the scale').fill('');
  await standIn.getByRole('button', { name: 'Plug the scale in' }).click();
  await expect(live).toHaveAttribute('data-place', 'nothing');

  // Hands free: what is aimed at is put on, and the bench goes on by itself.
  await page.getByLabel('Tick by itself').check();
  await standIn.getByRole('button', { name: 'Put what is aimed at' }).click();
  await expect(live).toHaveAttribute('data-place', 'in');
  await expect(page.getByRole('heading', { name: 'Melt' })).toBeVisible();
  const weighed = async () =>
    (await (await request.get(`/api/runs/${id}`)).json()).events.filter(
      ({ event }: { event: { kind: string } }) => event.kind === 'weighed',
    );
  await expect.poll(async () => (await weighed()).length).toBe(1);
  const target = Number(
    ((await page.locator('[data-task="r1/A/l1/base"]').textContent()) ?? '').match(/[\d.]+(?= g)/)?.[0],
  );
  expect(Math.abs((await weighed())[0].event.massG / target - 1)).toBeLessThan(0.02);

  expect((await weighed())[0].source).toEqual({ instrumentId: 'stand-in scale' });
  // A stand-in thermometer shows the room while it is in no jug.
  await page.getByLabel('Which thermometer').selectOption('stand-in');
  await expect(page.getByTestId('thermometer')).toContainText(/2\d\.\d °C/);
  await page.getByRole('button', { name: 'Unplug the thermometer' }).click();
  await expect(page.getByTestId('thermometer')).toContainText('nothing read');

  // A dose into the same jug: what stood on the scale is taken off.
  await expect(page.locator('[data-next]')).toBeEnabled();
  await page.keyboard.press('PageDown');
  await expect(live).toHaveAttribute('data-place', 'nothing');
  await page.getByLabel('Tick by itself').uncheck();
  await standIn.getByRole('button', { name: 'Put what is aimed at' }).click();
  await expect(live).toHaveAttribute('data-place', 'in');
  await standIn.getByRole('button', { name: '+ 10.0 g' }).click();
  await expect(live).toHaveAttribute('data-place', 'above');
  await expect(page.getByRole('alert')).toContainText('more base brings it there');

  // Any program of this machine may be a scale.
  await page.getByLabel('Which scale').selectOption('pushed');
  const push = (data: string, type = 'text/plain') =>
    request.post('/api/instruments/kitchen/readings', { data, headers: { 'content-type': type } });
  // A scale sends again and again; the first may be before anybody listens.
  await expect(async () => {
    expect(await (await push('ST + 0.0 g')).json()).toEqual({ taken: 1 });
    await expect(live).toContainText('0.00 g', { timeout: 500 });
  }).toPass();
  expect((await push('{"massG": 12.3, "stable": true}', 'application/json')).status()).toBe(200);
  await expect(live).toContainText('12.3');
  expect((await push('OL')).status()).toBe(200);
  await expect(page.getByText('Too much is on the scale')).toBeVisible();
  for (const [data, type, status] of [
    ['hello', 'text/plain', 422],
    ['{"massG": "12"}', 'application/json', 422],
    ['[]', 'application/json', 422],
    ['{"massG": 1e9}', 'application/json', 422],
  ] as const)
    expect((await push(data, type)).status(), data).toBe(status);

  // Beside a known weight and in ice water: how far off they are, and the Logbook says it of the run.
  await page.goto('/house-rules');
  const check = page.getByRole('form', { name: 'New check' });
  const write = async (instrument: string, against: string, shown: string) => {
    await check.getByLabel('Which instrument').fill(instrument);
    await check.getByLabel(/^Known weight/).fill(against);
    await check.getByLabel(/^It showed/).fill(shown);
    await check.getByRole('button', { name: 'Write the check down' }).click();
  };
  for (const [instrument, against, shown, fault] of [
    ['', '100', '100', 'Which instrument'],
    ['probe', 'constructor', '100', 'Known weight'],
    ['probe', '-5', '100', 'below zero'],
    ['probe', 'ice', '½x', 'It showed'],
  ] as const) {
    await write(instrument, against, shown);
    await expect(check.getByRole('alert')).toContainText(fault);
  }
  const checks = page.getByRole('region', { name: 'Check weights and ice water' });
  await write('stand-in scale', '100', '100,3');
  await expect(checks).toContainText('0.30 g too much beside 100.0 g');
  await write('probe', 'ice water', '0.4');
  await expect(checks).toContainText('0.4 °C too much beside ice water');
  const send = async (event: object) =>
    expect(
      (
        await request.post(`/api/runs/${id}/events`, {
          data: { eventId: crypto.randomUUID(), event, source: { instrumentId: 'stand-in scale' } },
        })
      ).status(),
    ).toBe(201);
  await send({ kind: 'weighed', taskId: 'r1/A/l1/dose-1', massG: 12 });
  for (const taskId of ['r1/A/l1/pour', 'r1/unmold']) await send({ kind: 'done', taskId });
  await send({ kind: 'finished', verdict: 'good', goodPieces: 6, note: '' });
  await page.goto(`/log/${id}`);
  await expect(page.getByText('0.30 g too much beside 100.0 g')).toBeVisible();
});

/** A gram more of a dose by the scale, and taken back. */
async function moreByScale(page: Page, taskId: string) {
  const inList = page.locator(`nav [data-task="${taskId}"]`);
  const before = (await inList.textContent()) ?? '';
  await inList.click();
  await page.getByRole('button', { name: 'Weigh more of it' }).click();
  await page.getByRole('button', { name: '+ 1.00 g' }).click();
  await expect(page.getByText(/^(?:1\.[01]\d?|0\.9\d?) g more stands on the scale/)).toBeVisible();
  await page.getByRole('button', { name: 'It is in the jug' }).click();
  await expect(inList).not.toHaveText(before);
  await inList.click();
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(inList).toHaveText(before);
}

test('Lighthouse Stripe from the cut to the unmolding, hands free: what is put on the scale ticks itself, the pedal does the rest', async ({
  page,
  request,
}) => {
  test.setTimeout(180_000);
  const planId = await copyOf(request, 'Lighthouse Stripe');
  const id = crypto.randomUUID();
  expect((await request.post('/api/runs', { data: { id, planId } })).status()).toBe(201);
  await page.clock.install({ time: new Date() });
  await page.goto(`/bench/${id}`);
  await page.getByRole('button', { name: 'Scale and thermometer' }).click();
  await page.getByLabel('Which scale').selectOption('stand-in');
  await page.getByLabel('Tick by itself').check();
  const tasks = page.getByRole('navigation', { name: 'Tasks' });
  const ticked = tasks.getByText(', ticked');
  const inHand = tasks.locator('[aria-current="step"]');
  const live = page.getByTestId('live');
  const early = page.locator('[data-state="early"]');
  const order: string[] = [];
  for (let step = 0; step < 40; step++) {
    const before = await ticked.count();
    const task = (await inHand.getAttribute('data-task')) ?? '';
    order.push(task);
    if (task.endsWith('unmold')) break;
    if (await page.getByTestId('target').isVisible()) {
      await expect(live).toHaveAttribute('data-place', 'nothing');
      await page.getByRole('button', { name: 'Put what is aimed at' }).click();
    } else {
      // What is not due yet is waited for.
      for (let minutes = 0; minutes < 60 && (await early.count()) > 0; minutes++)
        await page.clock.fastForward(60_000);
      await expect(page.locator('[data-next]')).toBeEnabled();
      await page.keyboard.press('PageDown');
    }
    await expect(ticked).toHaveCount(before + 1);
    if (task === 'r1/A/l1/dose-1') await moreByScale(page, task);
  }
  expect(order.at(-1)).toBe('r1/unmold');
  const { events, snapshot } = await (await request.get(`/api/runs/${id}`)).json();
  const planned = new Map<string, number>(
    snapshot.tasks.map((task: { id: string; massG?: number }) => [task.id, task.massG ?? 0]),
  );
  const weighed = events.filter(({ event }: { event: { kind: string } }) => event.kind === 'weighed');
  expect(weighed.length).toBeGreaterThan(5);
  for (const { event, source } of weighed) {
    expect(source.instrumentId).toBe('stand-in scale');
    expect(Math.abs(event.massG / (planned.get(event.taskId) ?? 1) - 1), event.taskId).toBeLessThan(0.05);
  }
  // What it took is put back: other tests share the shelf.
  const over = { eventId: crypto.randomUUID(), event: { kind: 'abandoned', note: '', isPutBack: true } };
  expect((await request.post(`/api/runs/${id}/events`, { data: over })).status()).toBe(201);
});
