import { type APIRequestContext, expect, type Page, test } from '@playwright/test';
import type { HouseChoices } from '../../src/core/houseRules/houseRules';
import type { PlanFile } from '../../src/core/plan/plan';
import { BOX, base, planFile } from '../support/planFiles';
import { looksRight } from './looksRight';
import { copyOf, given, saved, tooSmallForAFinger } from './workshop';

let counted = 0;

/** Pours of 8 mm and the rest in a box of 80 x 50 x 25 mm. */
function layered(plan: Partial<PlanFile['plan']> = {}, sizes = ['8 mm', 'rest']) {
  const mark = `${process.pid}-${++counted}`;
  const own = base({ id: `heat-base-${mark}`, name: `Heat base ${mark}`, sweat: 'low', bearsFreezer: true });
  return planFile(
    sizes.map((size) => ({ size, base: own })),
    { name: `Heat ${mark}`, ...plan },
    { ...BOX, id: `heat-mold-${mark}`, name: `Heat mold ${mark}` },
  );
}

const strip = (page: Page) => page.getByRole('region', { name: 'Pour plan' });
const checks = (page: Page) => page.getByRole('region', { name: 'Checks' });
const pourB = (page: Page) => page.getByRole('slider', { name: /^Pour B/ });

/** The ranges are there. */
async function whole(page: Page) {
  await expect(strip(page).getByText(/of it hands on/)).toBeVisible();
  await expect(strip(page)).toHaveAttribute('aria-busy', 'false');
}

async function open(page: Page, what: string) {
  await strip(page).getByRole('button', { name: what, exact: true }).click();
  await expect(page.getByRole('heading', { name: what, exact: true })).toBeFocused();
}

async function lighthouse(page: Page, request: APIRequestContext) {
  const id = await copyOf(request, 'Lighthouse Stripe');
  await page.goto(`/plans/${id}`);
  await whole(page);
  return id;
}

test('Lighthouse Stripe planned backwards from five o’clock, by keyboard, and printed with its bench sheet', async ({
  page,
  request,
}) => {
  const id = await lighthouse(page, request);
  await expect(strip(page).getByText(/^Done in/)).toBeVisible();
  await strip(page).getByRole('button', { name: 'Room & time' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Room & time' })).toBeFocused();
  await page.getByLabel(/^Begins or ends/).focus();
  await page.keyboard.type('Done');
  await page.getByLabel('Day and time').fill('2035-05-02T17:00');
  const summary = strip(page).getByText(/^Begin by/);
  await expect(summary).toContainText('2 May 2035');
  await expect(summary).toContainText('and 17:00');
  const begins = /(\d\d:\d\d), done between/.exec((await summary.textContent()) ?? '')?.[1] ?? '';
  expect(begins < '12:00').toBe(true);
  await saved(page);

  await open(page, 'As a list');
  const rows = page.getByRole('region', { name: 'As a list' }).getByRole('row');
  await expect(rows.nth(1)).toContainText(begins);
  await expect(rows.nth(1)).toContainText(/Cut and weigh \d+\.\d g Chalk for A, cut up to 370\.0 g/);
  const listed = await rows.evaluateAll((all) => all.map((row) => row.getAttribute('data-task')));
  await expect(rows.filter({ hasText: 'Pour B at 52 °C' })).toHaveCount(1);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'Doses' })).toBeVisible();

  // The endpoint and the printed sheet tell the same.
  const file = await (await request.get(`/api/plans/${id}/export`)).json();
  const told = await (await request.post('/api/pour-plan', { data: file })).json();
  expect(told.beginsAt).toBe(`2035-05-02T${begins}`);
  await page.goto(`/plans/${id}/sheet`);
  await expect(
    page.getByRole('row', { name: /Cut and weigh 368\.9 g Chalk for A, cut up to 370\.0 g/ }),
  ).toContainText(begins);
  await expect(page.locator('[data-task="r1/A/l1/pour"] td').last()).toHaveText('°C');
  // List, endpoint and paper have the same tasks in the same order.
  const printed = await page
    .getByRole('row')
    .evaluateAll((all) => all.flatMap((row) => row.getAttribute('data-task') ?? []));
  expect(printed).toEqual(listed.slice(1));
  expect(told.pourPlan.tasks.map((task: { id: string }) => task.id)).toEqual(printed);
  await expect(page.getByText(`Begin by 2 May 2035, ${begins}`)).toBeVisible();
});

test('a pour is dragged too late and mended: by pointer and check, by keys, and by undo', async ({
  page,
  request,
}) => {
  const { id, file } = await given(request, layered());
  await page.goto(`/plans/${id}`);
  await whole(page);
  await expect(pourB(page)).toHaveAttribute('aria-valuetext', /bonds$/);
  const cautions = () => checks(page).getByText('Caution:', { exact: true }).count();
  const before = await cautions();
  const ideal = Number(await pourB(page).getAttribute('aria-valuenow'));

  const box = await pourB(page).boundingBox();
  if (!box) throw new Error('no pour B');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 420, y, { steps: 12 });
  await page.mouse.up();
  await expect(pourB(page)).toHaveAttribute('aria-valuetext', /weak$/);
  expect(Number(await pourB(page).getAttribute('aria-valuenow'))).toBeGreaterThan(ideal + 10);
  await expect(checks(page).getByText('B bonds weakly')).toBeVisible();
  expect(await cautions()).toBe(before + 1);
  await expect(checks(page).getByText(/Rewarm it to \d\d °C to \d\d °C, or spray and score/)).toBeVisible();
  await saved(page);
  await page.reload();
  await whole(page);
  await expect(pourB(page)).toHaveAttribute('aria-valuetext', /weak$/);

  await checks(page).getByRole('button', { name: 'Pour it at its moment' }).click();
  await expect(pourB(page)).toHaveAttribute('aria-valuetext', /bonds$/);
  await expect(pourB(page)).toHaveAttribute('aria-valuenow', String(ideal));
  await expect(checks(page).getByText('B bonds weakly')).toBeHidden();

  await pourB(page).focus();
  for (let press = 0; press < 6; press++) await page.keyboard.press('PageUp');
  await expect(pourB(page)).toHaveAttribute('aria-valuenow', String(ideal + 30));
  await expect(pourB(page)).toHaveAttribute('aria-valuetext', /weak$/);
  await page.keyboard.press('Home');
  await expect(pourB(page)).toHaveAttribute('aria-valuenow', String(ideal));
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(pourB(page)).toHaveAttribute('aria-valuenow', String(ideal + 30));

  // Its card counts what the pour plan finds, too.
  await expect(checks(page).getByText('B bonds weakly')).toBeVisible();
  await saved(page);
  await page.goto(`/plans?q=${encodeURIComponent(file.plan.name)}`);
  await expect(page.locator('main [aria-busy]')).toHaveCount(0);
  await expect(page.getByRole('link', { name: file.plan.name })).toContainText(
    `${before + 1} ${before === 0 ? 'caution' : 'cautions'}`,
  );
});

test('a pour is dragged by a finger', async ({ browser, request }) => {
  const { id } = await given(request, layered());
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 1024, height: 768 } });
  const page = await context.newPage();
  await page.goto(`/plans/${id}`);
  await whole(page);
  await pourB(page).scrollIntoViewIfNeeded();
  const before = Number(await pourB(page).getAttribute('aria-valuenow'));
  const box = await pourB(page).boundingBox();
  if (!box) throw new Error('no pour B');
  const finger = await context.newCDPSession(page);
  const at = (dx: number) => [{ x: box.x + box.width / 2 + dx, y: box.y + box.height / 2 }];
  await finger.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: at(0) });
  for (let dx = 20; dx <= 200; dx += 20)
    await finger.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: at(dx) });
  await finger.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  await expect
    .poll(async () => Number(await pourB(page).getAttribute('aria-valuenow')))
    .toBeGreaterThan(before + 3);
  // Everything a finger needs there is large enough.
  for (const detail of ['Curves', 'Room & time', 'What if', 'Teach it']) {
    await open(page, detail);
    expect(await tooSmallForAFinger(page), detail).toEqual([]);
  }
  await context.close();
});

async function withRules(request: APIRequestContext, change: (rules: HouseChoices) => HouseChoices) {
  await expect(async () => {
    const { item, revision } = await (await request.get('/api/house-rules')).json();
    const saved = await request.put('/api/house-rules', { data: { item: change(item), revision } });
    expect(saved.status()).toBe(200);
  }).toPass();
}

test('the freezer is allowed with its dew, and refused by the house rule with the reason', async ({
  page,
  request,
}) => {
  const { id } = await given(request, layered({}, ['rest']));
  await page.goto(`/plans/${id}`);
  await whole(page);
  await open(page, 'Room & time');
  await page.getByLabel('After the last skin, into the freezer').check();
  await page.getByLabel('for', { exact: true }).fill('90');
  await expect(
    checks(page).getByText(/90 min in the freezer is too long|1 h 30 min in the freezer is too long/),
  ).toBeVisible();
  await expect(checks(page).getByText(/It collects dew out of the freezer/)).toBeVisible();
  await checks(page).getByRole('button', { name: 'Take it out after 10 min' }).click();
  await expect(page.getByLabel('for', { exact: true })).toHaveValue('10');
  await strip(page).getByText('freezer').first().hover();
  await expect(strip(page).getByTitle(/In the freezer for 10 min/)).toBeVisible();
  await saved(page);

  await withRules(request, (rules) => ({ ...rules, freezer: 'never' }));
  try {
    await page.reload();
    await whole(page);
    await expect(checks(page).getByText('The house rule is no freezer')).toBeVisible();
    await expect(
      checks(page).getByText(/below the room’s dew point of 10 °C and gathers water/),
    ).toBeVisible();
    await expect(page.getByRole('button', { name: 'To the bench' })).toBeDisabled();
    await checks(page).getByRole('button', { name: 'Leave the freezer out' }).click();
    await expect(checks(page).getByText('The house rule is no freezer')).toBeHidden();
  } finally {
    await withRules(request, (rules) => ({ ...rules, freezer: 'brief' }));
  }
});

test('a jug is taught from twelve readings and the forecast moves; where it came from is seen, and undone', async ({
  page,
  request,
}) => {
  await lighthouse(page, request);
  await open(page, 'Curves');
  const cools = () =>
    page
      .getByRole('region', { name: 'Curves' })
      .getByText(/down to 56 °C in/)
      .textContent();
  const before = await cools();
  await open(page, 'Teach it');
  const readings = page.getByLabel(/^Readings, one a line/);
  const see = page.getByRole('button', { name: 'See what it says' });
  const teach = page.getByRole('region', { name: 'Teach it' });
  // A jug that loses heat much faster than the model has it: 1.7 K a minute at first.
  const rows = Array.from({ length: 12 }, (_, i) => `${i}:00 ${(21 + 49 * Math.exp(-0.037 * i)).toFixed(1)}`);

  await see.click();
  await expect(teach.getByRole('alert')).toContainText('Room: its temperature is missing');
  await page.getByLabel('Room, °C').fill('21');
  await see.click();
  await expect(teach.getByRole('alert')).toContainText('0 readings are too few');
  await readings.fill(`${rows.slice(0, 5).join('\n')}\nhot`);
  await see.click();
  await expect(teach.getByRole('alert')).toContainText(
    'Readings, line 6: “hot” is not a time and a temperature',
  );
  await readings.fill(rows.map((row, i) => row.replace(/ .*/, ` ${70 - i * 0.1}`)).join('\n'));
  await see.click();
  await expect(teach.getByRole('alert')).toContainText('It fell by 1.1 K only');
  await readings.fill(rows.join('\n'));
  await page.getByLabel('Room, °C').fill('2,5 cups');
  await see.click();
  await expect(teach.getByRole('alert')).toContainText('Room:');
  await page.getByLabel('Room, °C').fill('21');
  await see.click();
  await expect(teach.getByRole('status')).toContainText(/It loses heat 1\.\d\d times as fast/);
  await expect(teach.getByRole('img', { name: /^12 readings over 11 min/ })).toBeVisible();

  await teach.getByRole('button', { name: 'Keep it for Small glass jug' }).click();
  await expect(teach.getByText(/Small glass jug now:/)).toBeVisible();
  // 370 g are cut where 368.9 are needed, and 2 % of scent go in: 377.4 g.
  await expect(teach.getByText(/12 readings of 377 g of Chalk in a room of 21 °C/)).toBeVisible();
  // Where it came from stays to be seen: each reading, and the curve that was made of them.
  await teach.getByText('The 12 readings').click();
  await expect(teach.getByRole('img', { name: /^12 readings over 11 min/ })).toBeVisible();
  await expect(teach.getByText('0:00 70.0 °C')).toBeVisible();
  await whole(page);
  await open(page, 'Curves');
  await expect(page.getByRole('region', { name: 'Curves' }).getByText(/as it was taught/)).toBeVisible();
  const after = await cools();
  const minutes = (text: string | null) => Number(/56 °C in (?:about )?(\d+)/.exec(text ?? '')?.[1]);
  expect(minutes(after)).toBeLessThan(minutes(before));

  await page.goto('/house-rules');
  const ofJug = page.getByText(/Small glass jug now:.*12 readings of 377 g of Chalk/);
  await expect(ofJug).toBeVisible();
  await page.getByRole('button', { name: /^Take out what was taught/ }).click();
  await expect(ofJug).toBeHidden();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(ofJug).toBeVisible();
  await saved(page);
  await page.goBack();
  await whole(page);
  await open(page, 'Teach it');
  const takeOut = page.getByRole('button', { name: /^Take out what was taught/ });
  await takeOut.click();
  await expect(teach.getByText(/nothing was taught yet/)).toBeVisible();
  await teach.getByRole('button', { name: 'Put it back' }).click();
  await expect(teach.getByText(/Small glass jug now:/)).toBeVisible();
  await takeOut.click();
  await expect(teach.getByText(/nothing was taught yet/)).toBeVisible();
  await open(page, 'Curves');
  await expect.poll(cools).toBe(before);
});

test('a mold is taught by touch, and the mold book tells of it', async ({ page, request }) => {
  const file = layered();
  const { id } = await given(request, file);
  await page.goto(`/plans/${id}`);
  await whole(page);
  await open(page, 'Teach it');
  await page.getByRole('combobox', { name: 'Teach' }).selectOption('touch');
  const carried = page.getByLabel(/^A carried after/);
  await carried.fill('soon');
  await page.getByRole('button', { name: 'See what it says' }).click();
  await expect(page.getByRole('alert')).toContainText('such as 6:40');
  await carried.fill('0:20');
  await page.getByRole('button', { name: 'See what it says' }).click();
  await expect(page.getByRole('alert')).toContainText('times as fast as the model');
  await carried.fill('6:40');
  await page.getByRole('button', { name: 'See what it says' }).click();
  await page.getByRole('button', { name: /^Keep it for Heat mold/ }).click();
  await expect(page.getByText(/by touch, Heat .* carried after 6:40 min/)).toBeVisible();
  await whole(page);
  await page.goto('/molds');
  await page.getByRole('button', { name: new RegExp(file.mold.name) }).click();
  await expect(page.getByRole('region', { name: 'Heat' })).toContainText('carried after 6:40 min');
});

test('the work is stopped in the middle and goes on; a plan that was worked out is not worked out again', async ({
  page,
  request,
}) => {
  await lighthouse(page, request);
  await open(page, 'Room & time');
  await page.getByLabel('Temperature').fill('27');
  await strip(page).getByRole('button', { name: 'Stop' }).click();
  await expect(strip(page).getByText(/^Stopped/)).toBeVisible();
  // The page goes on: another field, and the plan is worked out for it.
  await strip(page).getByRole('button', { name: 'Go on' }).click();
  await whole(page);
  await expect(strip(page).getByText(/^Stopped/)).toBeHidden();
  const done = await strip(page)
    .getByText(/^Done in/)
    .textContent();
  await page.getByRole('button', { name: 'Undo' }).click();
  await whole(page);
  await expect(strip(page).getByText(/^Done in/)).not.toHaveText(done ?? '');
  await page.getByRole('button', { name: 'Redo' }).click();
  // Kept: it is there at once, with nothing to stop.
  await expect(strip(page).getByText(/^Done in/)).toHaveText(done ?? '');
  await expect(strip(page).getByRole('button', { name: 'Stop' })).toBeHidden();
});

test('a name that is typed while the ranges are worked out leaves them to come', async ({
  page,
  request,
}) => {
  await lighthouse(page, request);
  await open(page, 'Room & time');
  await page.getByLabel('Temperature').fill('23');
  // Stopped by the key, though the name is nothing to the pour plan: it is taken up again after a pause.
  await page.getByLabel('Plan', { exact: true }).pressSequentially(' again');
  await expect(strip(page)).toHaveAttribute('aria-busy', 'false');
  await expect(strip(page).getByText(/of it hands on/)).toBeVisible();
});

test('what if: two pour plans side by side, what changes, and the plan made so', async ({
  page,
  request,
}) => {
  const { id } = await given(request, layered());
  await page.goto(`/plans/${id}`);
  await whole(page);
  await open(page, 'What if');
  const choice = page.getByRole('combobox', { name: 'What if' });
  const table = page.getByRole('region', { name: 'What if' }).getByRole('table');
  for (const label of ['the room is at 16 °C', 'A is half as thick again', 'the room is at 28 °C']) {
    await choice.selectOption({ label });
    await expect(table.getByRole('columnheader', { name: `If ${label}` })).toBeVisible();
    await expect(table.getByRole('row', { name: /^Skin of A/ })).toBeVisible();
  }
  await page.getByRole('button', { name: 'Make the plan so' }).click();
  await open(page, 'Room & time');
  await expect(page.getByLabel('Temperature')).toHaveValue('28');
});

test('bad figures stay in their field with the reason, and nothing is lost', async ({ page, request }) => {
  const { id } = await given(request, layered());
  await page.goto(`/plans/${id}`);
  await whole(page);
  await open(page, 'Room & time');
  const room = page.getByLabel('Temperature');
  for (const [text, reason] of [
    ['', /Write a number from 5 to 40 °C/],
    ['-4', /below zero|negative|5 to 40/i],
    ['900', /5 to 40|40 °C/],
    ['warm', /number/i],
  ] as const) {
    await room.fill(text);
    await expect(room).toHaveAttribute('aria-invalid', 'true');
    await expect(page.getByRole('region', { name: 'Room & time' }).getByRole('alert')).toContainText(reason);
  }
  await room.fill('22,5');
  await expect(room).toHaveAttribute('aria-invalid', 'false');
  await saved(page);
  const stored = await (await request.get(`/api/plans/${id}`)).json();
  expect(stored.plan.making.room.tempC).toBe(22.5);
});

test('axe finds nothing in what the pour plan opens to, by day and by night', async ({
  browser,
  request,
}) => {
  test.setTimeout(300_000);
  const { id } = await given(request, layered({}, ['8 mm', '7 mm', 'rest']));
  const context = await browser.newContext();
  const page = await context.newPage();
  await page.goto(`/plans/${id}`);
  await whole(page);
  for (const detail of ['Curves', 'As a list', 'Room & time', 'What if', 'Teach it']) {
    await open(page, detail);
    await looksRight(page, detail);
  }
  await context.close();
});
