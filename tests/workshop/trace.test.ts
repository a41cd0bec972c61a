import assert from 'node:assert/strict';
import test from 'node:test';
import { recallCsv } from '../../src/formats/recordCsv';
import { createPlan } from '../../src/server/plans';
import { findRun, recordEvent } from '../../src/server/runs';
import { startRun } from '../../src/server/startRun';
import { addLot } from '../../src/server/stock';
import { traceOfLot, traceOfRun } from '../../src/server/trace';
import { BOX, fragrance, planFile } from '../support/planFiles';
import { makeInWorkshop, nextEvent } from '../support/runs';
import { problemOf, workshopWith } from '../support/workshops';

test('a fragrance lot is recalled through the scrap jar into what that was set into, and traced back from there', async () => {
  const { workshop, stored } = workshopWith(planFile([{ doses: [[fragrance(), '2 %']] }], {}, BOX));
  const lot = addLot(workshop, {
    item: { kind: 'material', id: 'scent-1' },
    ...{ number: 'F-7', boughtOn: '2026-01-05', price: null, discountFraction: 0, amount: 500 },
    ...{ bestBefore: null, openedOn: null, note: '' },
  }).item;
  const first = await makeInWorkshop(workshop, stored.id, { toScrapG: 80 });
  const jar = workshop.materials.all().find(({ item }) => item.kind === 'scrap')?.item;
  const filled = planFile([{}], { name: 'Filled' }, BOX).plan;
  const plan = createPlan(workshop, {
    ...filled,
    pours: filled.pours.map((pour) => ({
      ...pour,
      embeds: [{ id: 'e1', as: 'filling', from: { is: 'shelf', materialId: jar?.id ?? '' }, ofRoom: 0.1 }],
    })),
  });
  const second = await makeInWorkshop(workshop, plan.id);
  const scrapNumber = `Batch ${first.code}`;
  const { batches, materialName } = await traceOfLot(workshop, lot.id);
  assert.equal(materialName, 'Test scent');
  assert.deepEqual(
    batches.map(({ runId, code, planName, goodPieces, through }) => [
      runId,
      code,
      planName,
      goodPieces,
      through,
    ]),
    [
      [first.id, first.code, 'Test plan', 6, []],
      [second.id, second.code, 'Filled', 6, [scrapNumber]],
    ],
  );
  const used = workshop.lots
    .entriesOfLot(lot.id)
    .reduce((sum, { kind, change }) => sum - (kind === 'used' ? change : 0), 0);
  assert.ok(Math.abs((batches[0]?.amount ?? 0) - used) < 1e-9 && used > 1);
  assert.deepEqual(
    traceOfRun(workshop, second.id).map(({ number, through }) => [number, through]),
    [
      [scrapNumber, []],
      ['F-7', [first.code]],
    ],
  );

  // A batch that holds of it in two ways is one, with its pieces once; one that was given up is told as such.
  const both = createPlan(workshop, {
    ...plan.plan,
    pours: plan.plan.pours.map((pour) => ({ ...pour, doses: stored.plan.pours[0]?.doses ?? [] })),
  });
  const twice = await makeInWorkshop(workshop, both.id);
  const counted = await traceOfLot(workshop, lot.id);
  assert.equal(counted.batches.filter(({ runId }) => runId === twice.id).length, 2);
  assert.deepEqual([counted.batchCount, counted.goodPieces], [3, 18]);
  const open = startRun(workshop, crypto.randomUUID(), stored.id);
  const { id: left } = open;
  for (
    let event = nextEvent(open), step = 0;
    event && step < 3;
    step++, event = nextEvent(findRun(workshop, left))
  )
    recordEvent(workshop, left, crypto.randomUUID(), event);
  recordEvent(workshop, left, crypto.randomUUID(), { kind: 'abandoned', note: '' });
  assert.equal(
    (await traceOfLot(workshop, lot.id)).batches.find(({ runId }) => runId === left)?.ended,
    'abandoned',
  );

  // What is said of its bars later is told with it, and a recall list is one file.
  const complaint = { kind: 'complained' as const, words: 'Itches', from: 'A neighbour', done: '' };
  recordEvent(workshop, second.id, crypto.randomUUID(), complaint);
  assert.equal(findRun(workshop, second.id).events.at(-1)?.event.kind, 'complained');
  const told = (await traceOfLot(workshop, lot.id)).batches.filter(
    ({ runId }) => runId === first.id || runId === second.id,
  );
  assert.deepEqual(
    told.map(({ complaints }) => complaints),
    [0, 1],
  );
  const [head, ...lines] = recallCsv(told, { delimiter: ',', decimal: '.' }).trim().split('\r\n');
  assert.match(head ?? '', /^\uFEFF?Batch,Plan,Made,Good pieces,/);
  assert.ok(lines.length === 2 && lines[1]?.includes(scrapNumber) && /,1,[^,]*,$/.test(lines[1]));
  assert.equal((await problemOf(traceOfLot(workshop, 'constructor'))).status, 404);
});
