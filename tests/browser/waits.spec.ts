import { type APIRequestContext, expect, type Page, test } from '@playwright/test';
import { BOX, fragrance, planFile } from '../support/planFiles';
import { given, ownFile } from './workshop';

/** What a browser may have, counted instead of heard. */
const FAKES = () => {
  const calls = { rings: 0, said: [] as string[], locks: 0, asked: 0, notices: [] as string[] };
  Object.assign(window, { calls });
  class Tone {
    frequency = { value: 0 };
    connect(to: unknown) {
      return to;
    }
    start() {}
    stop() {}
  }
  class Notice {
    static permission = 'default';
    static async requestPermission() {
      calls.asked++;
      Notice.permission = 'granted';
      return 'granted';
    }
    constructor(words: string) {
      calls.notices.push(words);
    }
  }
  Object.assign(window, {
    AudioContext: class {
      currentTime = 0;
      destination = {};
      constructor() {
        calls.rings++;
      }
      createOscillator() {
        return new Tone();
      }
      createGain() {
        return { gain: { value: 0 }, connect: (to: unknown) => to };
      }
      close() {}
    },
    Notification: Notice,
    SpeechSynthesisUtterance: class {
      constructor(readonly text: string) {}
    },
  });
  Object.defineProperty(window, 'speechSynthesis', {
    value: { cancel() {}, speak: ({ text }: { text: string }) => calls.said.push(text) },
  });
  Object.defineProperty(navigator, 'wakeLock', {
    value: {
      request: async () => {
        calls.locks++;
        return { release: async () => {} };
      },
    },
  });
};
const callsOf = (page: Page) =>
  page.evaluate(
    () =>
      (
        window as unknown as {
          calls: { rings: number; said: string[]; locks: number; asked: number; notices: string[] };
        }
      ).calls,
  );

const two = () => {
  const { plan, ...file } = ownFile([]);
  const layers = planFile([{ size: '10 mm', doses: [[fragrance(), '2 %']] }, { size: 'rest' }], {}, BOX);
  return { ...file, ...layers, plan: { ...layers.plan, name: plan.name } };
};

/** A run of two layers on the bench, in a browser with the fakes and a clock that is put on; answers its id. */
async function takenToTheBench(page: Page, request: APIRequestContext): Promise<string> {
  const { id: planId } = await given(request, two());
  const id = crypto.randomUUID();
  expect((await request.post('/api/runs', { data: { id, planId } })).ok()).toBe(true);
  await page.addInitScript(FAKES);
  await page.clock.install({ time: new Date() });
  await page.goto(`/bench/${id}`);
  return id;
}

/** Ticks whatever is in hand until a task is. */
async function tickUntil(page: Page, taskId: string) {
  for (;;) {
    const here = page.locator('[data-task][aria-current="step"]');
    await expect(page.locator('[data-next]')).toBeEnabled();
    const id = await here.getAttribute('data-task');
    if (id === taskId) return;
    const target = page.getByTestId('target');
    if (await target.isVisible())
      await page.getByLabel('On the scale').fill(((await target.textContent()) ?? '').replace(/[^\d.]/g, ''));
    // A foot pedal does as well as a press.
    await page.keyboard.press('PageDown');
    await expect(here).not.toHaveAttribute('data-task', id ?? '');
  }
}

test('a layer skins and a jug cools with their countdowns; each calls once; touch and thermometer have the last word; reload and a second screen see the same', async ({
  page,
  request,
  context,
}) => {
  const id = await takenToTheBench(page, request);
  const waits = page.getByRole('region', { name: 'Waits' });
  await expect(waits).toContainText('Bars out about');
  await tickUntil(page, 'r1/A/l1/pour');
  // The jug of A by the model, and then by its thermometer.
  const jug = page.getByTestId('jug').filter({ hasText: 'by the model' });
  await expect(jug).toBeVisible();
  const thermometer = page.getByRole('textbox', { name: 'Thermometer' });
  for (const bad of ['', 'constructor', '-4', '900', '½x']) {
    await thermometer.fill(bad);
    await page.getByRole('button', { name: 'Read', exact: true }).click();
    await expect(thermometer).toHaveAttribute('aria-invalid', 'true');
  }
  for (const [read, shown] of [
    ['61,5', '61.5'],
    ['60.4', '60'],
  ] as const) {
    await thermometer.fill(read);
    await thermometer.press('Enter');
    await expect(page.getByTestId('jug').filter({ hasText: 'when it was read' })).toContainText(shown);
    await page.clock.fastForward(30_000);
  }
  await page.getByText('Its curve').click();
  await expect(page.getByRole('img', { name: /^2 readings over/ })).toBeVisible();
  // A thermometer that sends is read with a press.
  const sent = await request.post('/api/instruments/probe/readings', { data: { tempC: 59.3 } });
  expect(sent.status()).toBe(200);
  await expect(thermometer).toHaveAttribute('placeholder', '59.3');
  await page.getByRole('button', { name: 'Read', exact: true }).click();
  await expect(page.getByTestId('jug').filter({ hasText: 'when it was read' })).toContainText(/at (?:59|60)/);
  // Left in the jug, it is read by itself; what it shows is kept with the run, thinned.
  await page.getByRole('button', { name: 'It stands in this jug' }).click();
  for (const tempC of [31.5, 58.7, 58.4, 58.3]) {
    await page.clock.fastForward(2000);
    await request.post('/api/instruments/probe/readings', { data: { tempC } });
    await expect(thermometer).toHaveAttribute('placeholder', String(tempC));
  }
  const kept = async () => {
    const readings: { points: { value: number }[] }[] = await (
      await request.get(`/api/runs/${id}/readings`)
    ).json();
    return readings.flatMap(({ points }) => points.map(({ value }) => value));
  };
  await page.clock.fastForward(21_000);
  await expect.poll(kept).toEqual([31.5, 58.7, 58.4]);
  await expect(page.getByTestId('jug').filter({ hasText: 'when it was read' })).toContainText(/at 5[89]/);
  await expect(page.getByText('The thermometer is silent')).toBeVisible();
  await page.getByRole('button', { name: 'Out of the jug' }).click();
  // Too hot for its base is said at once; the reading was a slip, and is taken back.
  const { rings } = await callsOf(page);
  await thermometer.fill('110');
  await thermometer.press('Enter');
  await expect(page.getByRole('alert')).toContainText(/Above \d\d °C, the most this base bears/);
  expect((await callsOf(page)).rings).toBe(rings + 1);
  await page.getByRole('button', { name: 'Forget the last' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);
  const filling = page.getByTestId('filling');
  await expect(filling).toHaveAttribute('data-poured', '0');
  await page.getByText('What came of it').click();
  await page.getByLabel('Cavities filled').fill('six');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(filling).toHaveAttribute('data-poured', '0');
  await page.getByLabel('Cavities filled').fill('6');
  await page.getByLabel('Left in the jug').fill('12');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(filling).toHaveAttribute('data-poured', '1');

  const skin = waits.locator('[data-wait="r1/A/skin"]');
  await expect(skin).toContainText(/A skins\s*\d+:\d\d/);
  await skin.click();
  await expect(page.getByTestId('wait')).toContainText(/A skins\s*\d+:\d\d/);
  await page.getByRole('button', { name: 'Notify me when it is over' }).click();
  await expect(page.getByRole('button', { name: 'Notify me when it is over' })).toBeHidden();
  expect((await callsOf(page)).asked).toBe(1);
  await page.getByRole('button', { name: 'Back to the task in hand' }).click();
  await page.reload();
  await expect(skin).toContainText('A skins');
  expect((await callsOf(page)).locks).toBe(1);

  await page.clock.fastForward(20 * 60_000);
  await expect(skin).toContainText('A should carry');
  await expect(page).toHaveTitle(/^● .*A should carry/);
  expect((await callsOf(page)).rings).toBe(1);
  await page.reload();
  await expect(skin).toContainText('A should carry');
  expect((await callsOf(page)).rings).toBe(0);

  // Not yet: the wait goes on. It carries: it is over, here and on a second screen.
  await skin.click();
  await page.getByRole('button', { name: 'Not yet', exact: true }).click();
  await expect(skin).toContainText('A skins');
  await skin.click();
  await page.getByRole('button', { name: 'Forget the last touch' }).click();
  await expect(skin).toContainText('A should carry');
  await page.getByRole('button', { name: 'It carries' }).click();
  await expect(skin).toHaveCount(0);
  const other = await context.newPage();
  await other.goto(`/bench/${id}`);
  await expect(other.getByRole('region', { name: 'Waits' })).toContainText('Bars out about');
  await expect(other.locator('[data-wait="r1/A/skin"]')).toHaveCount(0);
  await other.close();
  const run = await (await request.get(`/api/runs/${id}`)).json();
  expect(run.events.map(({ event }: { event: { kind: string } }) => event.kind)).toEqual(
    expect.arrayContaining(['measured', 'touched', 'forgotten']),
  );
  const poured = run.events.find(
    ({ event }: { event: { taskId: string } }) => event.taskId === 'r1/A/l1/pour',
  );
  expect(poured.event).toMatchObject({ cavities: 6, leftG: 12 });
  expect(poured.event.tempC).toBeCloseTo(58.4, 1);
});

test('a pour that is late is told so, with its ways out; the task in hand is read aloud where that is wanted; a browser without any of it works', async ({
  page,
  request,
}) => {
  await takenToTheBench(page, request);
  await page.getByRole('switch', { name: 'Read aloud' }).click();
  await expect.poll(async () => (await callsOf(page)).said.join()).toMatch(/\d g\./);
  await tickUntil(page, 'r1/B/l1/pour');
  const moment = page.locator('[data-state]');
  await expect(moment).toHaveAttribute('data-state', 'early');
  await page.clock.fastForward(60 * 60_000);
  await expect(moment).toHaveAttribute('data-state', 'late');
  await expect(moment).toContainText(/Rewarm the jug to \d\d °C to \d\d °C and read it, or score/);
  // Or it is left out, and comes back.
  await page.getByRole('button', { name: 'Leave this layer out' }).click();
  await expect(page.getByRole('heading', { name: 'Unmold' })).toBeVisible();
  await expect(page.getByTestId('filling')).toHaveAttribute('data-poured', '1');
  await page.locator('nav [data-task="r1/B/l1/pour"]').click();
  await expect(page.getByRole('heading', { name: 'B: Pour is left out' })).toBeVisible();
  await page.getByRole('button', { name: 'Put it in after all' }).click();
  await expect(moment).toHaveAttribute('data-state', 'late');
  // Rewarmed and read, it may be poured after all.
  await page.getByRole('textbox', { name: 'Thermometer' }).fill('62');
  await page.getByRole('button', { name: 'Read', exact: true }).click();
  await expect(moment).toHaveAttribute('data-state', 'open');
  await expect(moment).toContainText('Late, but at 62 °C it melts into the layer below and joins it.');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('heading', { name: 'Unmold' })).toBeVisible();

  await page.addInitScript(() => {
    for (const name of ['AudioContext', 'Notification', 'Worker'])
      Object.defineProperty(window, name, { value: undefined, configurable: true });
    Reflect.deleteProperty(window, 'speechSynthesis');
  });
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Unmold' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Waits' })).toContainText('Sets');
});

test('two runs at one screen: each shows the other, a wait of the other calls, Page Up turns to it, and a mold that is taken is said', async ({
  page,
  request,
}) => {
  const first = await takenToTheBench(page, request);
  await tickUntil(page, 'r1/A/l1/pour');
  await page.keyboard.press('PageDown');
  const { planId } = await (await request.get(`/api/runs/${first}`)).json();
  const second = crypto.randomUUID();
  expect((await request.post('/api/runs', { data: { id: second, planId } })).ok()).toBe(true);
  await expect(page.locator('[data-wait="r1/A/skin"]')).toBeVisible();
  await expect(page.locator('[data-other]')).toHaveCount(0);

  await page.goto(`/bench/${second}`);
  const other = page.locator(`[data-other="${first}"]`);
  await expect(other).toContainText(/Plan .*A skins \d+:\d\d/);
  await tickUntil(page, 'r1/A/l1/pour');
  await expect(page.getByRole('status').filter({ hasText: 'until it is unmolded' })).toContainText(
    /^Test mold holds Plan/,
  );
  const { rings } = await callsOf(page);
  await page.clock.fastForward(20 * 60_000);
  await expect(other).toContainText(/A should carry|B: /);
  await expect(page).toHaveTitle(/^● /);
  expect((await callsOf(page)).rings).toBeGreaterThan(rings);

  await page.keyboard.press('PageUp');
  await expect(page).toHaveURL(new RegExp(`/bench/${first}$`));
  await expect(page.locator(`[data-other="${second}"]`)).toBeVisible();
  // It was called on the other page, and is not called again.
  await expect(page.locator('[data-wait="r1/A/skin"]')).toContainText('A should carry');
  expect((await callsOf(page)).rings).toBe(0);
  // What is over elsewhere goes away.
  const over = { eventId: crypto.randomUUID(), event: { kind: 'abandoned', note: '' } };
  expect((await request.post(`/api/runs/${second}/events`, { data: over })).status()).toBe(201);
  await expect(page.locator('[data-other]')).toHaveCount(0);
});
