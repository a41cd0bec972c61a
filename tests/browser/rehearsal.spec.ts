import { expect, test } from '@playwright/test';
import { DARES } from '../../src/core/rehearsal/dares';
import type { Run, RunEvent } from '../../src/core/run/run';
import { BOX, fragrance, planFile } from '../support/planFiles';
import { nextEvent } from '../support/runs';
import { given, ownFile } from './workshop';

test('a rehearsal: a plan is made with stand-ins, goes wrong as it was asked to, and is told at its end; nothing is kept', async ({
  page,
  request,
}) => {
  test.setTimeout(120_000);
  const { plan, ...file } = ownFile([]);
  const layers = planFile([{ size: '10 mm', doses: [[fragrance(), '2 %']] }, { size: 'rest' }], {}, BOX);
  const { id } = await given(request, { ...file, ...layers, plan: { ...layers.plan, name: plan.name } });
  const runs = async () =>
    (await (await request.get('/api/runs')).json()).filter((run: { planId: string }) => run.planId === id);
  await page.clock.install({ time: new Date() });
  await page.goto(`/plans/${id}`);
  await page.getByRole('button', { name: /^Try it/ }).click();
  await expect(page.getByText('not with this plan: it goes into no freezer')).toBeVisible();
  const seed = page.getByLabel('Where it goes wrong');
  for (const bad of ['', '0', '-3', '2,5', 'constructor', '99999']) {
    await seed.fill(bad);
    await expect(seed).toHaveAttribute('aria-invalid', 'true');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(seed).toBeVisible();
  }
  await seed.fill('3');
  await page.getByLabel('Pour too late').check();
  for (const name of ['A base is cut 4 % heavy', 'The scale goes dead', 'The telephone rings'])
    await page.getByLabel(name).check();
  await page.getByLabel('Waits pass').selectOption('60');
  await page.getByRole('button', { name: 'Begin' }).click();

  const inHand = page.locator('nav [aria-current="step"]');
  const put = page.getByRole('button', { name: 'Put what is aimed at' });
  const told = page.getByRole('heading', { name: /would have come out$/ });
  const seen: string[] = [];
  const ticked = page.locator('nav').getByText(', ticked');
  await page.getByLabel('Tick by itself').check();
  for (let step = 0; step < 30 && !(await told.isVisible()); step++) {
    const task = (await inHand.getAttribute('data-task')) ?? '';
    const notice = page.getByRole('alert').filter({ has: page.getByRole('button', { name: 'Go on' }) });
    for (let left = await notice.count(); left > 0; left--) {
      seen.push((await notice.first().textContent()) ?? '');
      await notice.first().getByRole('button', { name: 'Go on' }).click();
    }
    if (step === 2) {
      // A reload goes on where it was.
      const done = await ticked.count();
      await page.reload();
      await expect(ticked).toHaveCount(done);
      expect(done).toBeGreaterThan(0);
      await page.getByLabel('Tick by itself').check();
    }
    const plugIn = page.getByRole('button', { name: 'Plug the scale in' });
    if (await plugIn.isVisible()) await plugIn.click();
    const leave = page.getByRole('button', { name: 'Leave it for 30 min' });
    if (await leave.isVisible()) await leave.click();
    if (await page.getByTestId('target').isVisible()) {
      await expect(page.getByTestId('live')).toHaveAttribute('data-place', 'nothing');
      await put.click();
      const isHeavy = page.locator('#scale-says').getByText(/more/);
      await expect(async () => {
        await page.clock.runFor(500);
        if ((await isHeavy.isVisible()) && (await page.getByText('stands still').isVisible()))
          await page.keyboard.press('PageDown');
        expect(await inHand.getAttribute('data-task')).not.toBe(task);
      }).toPass();
    } else {
      const on = page.getByRole('button', { name: /^On to/ });
      if (await on.isVisible()) await on.click();
      await page.clock.runFor(1000);
      await expect(async () => {
        await page.keyboard.press('PageDown');
        await page.clock.runFor(500);
        if (!(await told.isVisible())) expect(await inHand.getAttribute('data-task')).not.toBe(task);
      }).toPass();
    }
  }
  await expect(told).toBeVisible();
  expect(seen.join(' ')).toContain('The telephone rang.');
  expect(seen.join(' ')).toContain('The scale has gone dead.');
  const bonds = page.getByRole('list', { name: 'Bonds' });
  await expect(bonds.locator('[data-bond="weak"]')).toContainText(/B does not join A.*rewarm the jug/);
  await expect(page.getByText(/: [34](?:\.\d+)? % more than aimed at/)).toBeVisible();
  await expect(page.getByText(/was cut 4 % heavy/)).toBeVisible();
  await expect(page.getByText(/longer than planned/)).toBeVisible();
  expect(await runs()).toEqual([]);
  await page.getByRole('button', { name: 'Rehearse it again' }).click();
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();

  // Or a few pieces for real, marked as a trial.
  const pieces = page.getByLabel('Pieces');
  for (const bad of ['', '0', '-2', '2,5', '7', 'constructor']) {
    await pieces.fill(bad);
    await page.getByRole('button', { name: 'Start a trial batch' }).click();
    await expect(pieces).toHaveAttribute('aria-invalid', 'true');
  }
  await pieces.fill('2');
  await page.getByRole('button', { name: 'Start a trial batch' }).click();
  await expect(page.getByText('Trial of 2 pieces')).toBeVisible();
  let [run]: Run[] = await runs();
  if (!run) throw new Error('no trial');
  const { id: runId } = run;
  const send = async (event: RunEvent) => {
    const answer = await request.post(`/api/runs/${runId}/events`, {
      data: { eventId: crypto.randomUUID(), event },
    });
    run = await answer.json();
  };
  // Half as much scent again is to its maker's taste: that is taken into the plan, and back.
  for (let next = nextEvent(run); next; next = nextEvent(run))
    await send(
      next.kind === 'weighed' && /dose/.test(next.taskId) ? { ...next, massG: next.massG * 1.5 } : next,
    );
  await send({ kind: 'finished', verdict: 'good', goodPieces: 2, note: '' });
  await page.goto(`/log/${runId}`);
  await expect(page.getByRole('heading', { name: /trial$/ })).toBeVisible();
  const taught = page.getByRole('region', { name: 'What it taught' });
  await expect(taught).toContainText('went in at 3 % of its base; the plan said 2 %');
  const dose = async () => (await (await request.get(`/api/plans/${id}`)).json()).plan.pours[0].doses[0].text;
  await taught.getByRole('button', { name: 'Take it into the plan' }).click();
  await expect.poll(dose).toBe('3 %');
  await taught.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(dose).toBe('2 %');
});

test('a mistake is practised without a plan of one’s own: poured too hot, a layer breaks through', async ({
  page,
  request,
}) => {
  for (const dare of DARES) expect((await request.get(`/bench/practice/${dare}`)).status()).toBe(200);
  for (const none of ['constructor', '%ff', 'too'])
    expect((await request.get(`/bench/practice/${none}`)).status()).toBeGreaterThanOrEqual(400);
  await page.clock.install({ time: new Date() });
  await page.goto('/bench');
  await page.getByRole('link', { name: /^Pour too hot/ }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  const inHand = page.locator('nav [aria-current="step"]');
  const told = page.getByRole('heading', { name: /would have come out$/ });
  await expect(inHand).toBeVisible();
  for (let step = 0; step < 20 && !(await told.isVisible()); step++) {
    const task = (await inHand.getAttribute('data-task')) ?? '';
    if (task === 'r1/B/l1/spritz') await expect(page.getByText(/pour it as hot as it is/)).toBeVisible();
    const target = page.getByTestId('target');
    if (await target.isVisible())
      await page.keyboard.type(/[\d.]+/.exec((await target.textContent()) ?? '')?.[0] ?? '');
    // All in its time, but for what is poured hot.
    const on = page.getByRole('button', { name: /^On to/ });
    if (!/spritz|B\/l1\/pour/.test(task) && (await on.isVisible())) await on.click();
    await expect(async () => {
      await page.keyboard.press('PageDown');
      await page.clock.runFor(500);
      if (!(await told.isVisible())) expect(await inHand.getAttribute('data-task')).not.toBe(task);
    }).toPass();
  }
  await expect(page.locator('[data-bond="broken"]')).toContainText(/B broke through A/);
  await page.getByRole('link', { name: 'Other mistakes' }).click();
  await expect(page.getByRole('heading', { name: 'Practise a mistake' })).toBeVisible();
});
