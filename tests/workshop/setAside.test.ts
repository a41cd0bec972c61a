import assert from 'node:assert/strict';
import test from 'node:test';
import type { RunEvent } from '../../src/core/run/run';
import { leftOf } from '../../src/core/stock/stock';
import { recallCsv } from '../../src/formats/recordCsv';
import { createPlan } from '../../src/server/plans';
import { findRun, recordEvent } from '../../src/server/runs';
import { startRun } from '../../src/server/startRun';
import { addLot } from '../../src/server/stock';
import { traceOfLot, traceOfRun } from '../../src/server/trace';
import type { Workshop } from '../../src/server/workshop';
import { BOX, fragrance, isClose, planFile } from '../support/planFiles';
import { makeInWorkshop, nextEvent } from '../support/runs';
import { problemFrom, workshopWith } from '../support/workshops';

function bought(workshop: Workshop, materialId: string, number: string, price: string | null, amount = 5000) {
  return addLot(workshop, {
    item: { kind: 'material', id: materialId },
    ...{ number, boughtOn: '2026-01-05', price, discountFraction: 0, amount },
    ...{ bestBefore: null, openedOn: null, note: '' },
  }).item;
}

const aside = (
  asideId: string,
  over: Partial<Extract<RunEvent, { kind: 'set-aside' }>> = {},
): Extract<RunEvent, { kind: 'set-aside' }> => ({
  ...{ kind: 'set-aside', asideId, round: 0, of: 'ends', pourIndexes: [], massG: 100, pieces: null },
  to: { is: 'jar', name: 'White ends' },
  ...over,
});

const jarOf = ({ materials }: Workshop, name: string) => {
  const item = materials.all().find((each) => each.item.name === name)?.item;
  assert.ok(item?.kind === 'scrap');
  return item;
};

test('ends go into a jar, are melted again with their doses, limits, cost and lots, and are recalled through it', async () => {
  const { workshop, stored } = workshopWith(planFile([{ doses: [[fragrance(), '2 %']] }], {}, BOX));
  bought(workshop, 'base-1', 'B-1', '50');
  const scent = bought(workshop, 'scent-1', 'F-7', '100', 500);
  const first = await makeInWorkshop(workshop, stored.id);
  const record = (runId: string, event: RunEvent) => recordEvent(workshop, runId, crypto.randomUUID(), event);
  record(first.id, aside('one'));
  const jar = jarOf(workshop, 'White ends');
  const scented = (name = 'White ends') =>
    jarOf(workshop, name).holds?.find(({ materialId }) => materialId === 'scent-1')?.ofScrap ?? 0;
  assert.ok(isClose(scented(), 2 / 102, 1e-6) && jar.melts === 1);
  // 100 g at 100/102 · 0.01 + 2/102 · 0.2 of the currency a gram.
  const lot = workshop.lots.find('one')?.item;
  assert.deepEqual([lot?.number, lot?.amount], [`Batch ${first.code}`, 100]);
  assert.ok(
    isClose(Number(lot?.price), 100 * ((100 / 102) * 0.01 + (2 / 102) * 0.2), 1e-3),
    lot?.price ?? '',
  );

  // Melted again, half with fresh base.
  const plan = createPlan(workshop, {
    ...planFile([{}], { name: 'Again', pieces: 1 }, BOX).plan,
    pours: planFile([{}], {}, BOX).plan.pours.map((pour) => ({
      ...pour,
      remelt: { scrapId: jar.id, ofBase: 0.5 },
    })),
  });
  const second = await makeInWorkshop(workshop, plan.id, { goodPieces: 1 });
  const usedG = 100 - leftOf(workshop.lots.stockOf(jar.id));
  const weighedG = second.events.reduce(
    (sum, { event }) => sum + (event.kind === 'weighed' ? event.massG : 0),
    0,
  );
  assert.ok(isClose(usedG, weighedG / 2, 1e-6));
  record(second.id, aside('two', { massG: 20, to: { is: 'jar', name: 'Twice melted' } }));
  assert.equal(jarOf(workshop, 'Twice melted').melts, 2);
  assert.ok(isClose(scented('Twice melted'), 1 / 102, 1e-6));

  const { batches } = await traceOfLot(workshop, scent.id);
  assert.deepEqual(
    batches.map(({ planName, through }) => [planName, through]),
    [
      ['Test plan', []],
      ['Again', [`Batch ${first.code}`]],
    ],
  );
  assert.deepEqual(
    batches.map(({ asides }) => asides.map(({ massG, to }) => to.is === 'jar' && `${massG} ${to.name}`)),
    [['100 White ends'], ['20 Twice melted']],
  );
  assert.match(recallCsv(batches, { delimiter: ',', decimal: '.' }), /,0,20 Twice melted,\s*$/);
  assert.ok(traceOfRun(workshop, second.id).some(({ number }) => number === 'F-7'));

  // A second portion without scent thins the jar, and is taken out of it again.
  const plainPlan = createPlan(workshop, planFile([{}], { name: 'Plain' }, BOX).plan);
  const plain = await makeInWorkshop(workshop, plainPlan.id);
  const before = scented();
  const left = leftOf(workshop.lots.stockOf(jar.id));
  record(plain.id, aside('three', { massG: left }));
  assert.ok(isClose(scented(), before / 2, 1e-6));
  record(plain.id, { kind: 'taken-back', entryId: 'three' });
  assert.ok(isClose(scented(), before, 1e-6) && isClose(leftOf(workshop.lots.stockOf(jar.id)), left, 1e-6));
  // What was used since can't be taken back.
  const refused = problemFrom(() => record(first.id, { kind: 'taken-back', entryId: 'one' }));
  assert.deepEqual([refused.status, refused.code], [409, 'used-since']);
  const tooMuch = problemFrom(() => record(plain.id, aside('four', { massG: 1e5 })));
  assert.deepEqual([tooMuch.status, tooMuch.code], [409, 'more-than-is-there']);
});

test('what was melted for a run that was given up goes into a jar with what it holds, unless all was put back', async () => {
  const { workshop, stored } = workshopWith(planFile([{ doses: [[fragrance(), '2 %']] }], {}, BOX));
  bought(workshop, 'base-1', 'B-1', '50');
  bought(workshop, 'scent-1', 'F-7', '100', 500);
  const givenUp = async (isPutBack: boolean) => {
    const run = startRun(workshop, crypto.randomUUID(), stored.id);
    const record = (event: RunEvent) => recordEvent(workshop, run.id, crypto.randomUUID(), event);
    for (let event = nextEvent(run); event; event = nextEvent(findRun(workshop, run.id))) {
      if ('taskId' in event && event.taskId === 'r1/A/l1/pour') break;
      record(event);
    }
    record({ kind: 'abandoned', note: '', ...(isPutBack ? { isPutBack } : {}) });
    return record;
  };
  const record = await givenUp(false);
  record(aside('melt', { of: 'left-over', massG: 200, to: { is: 'jar', name: 'Given up' } }));
  const scented = jarOf(workshop, 'Given up').holds?.find(({ materialId }) => materialId === 'scent-1');
  assert.ok(isClose(scented?.ofScrap ?? 0, 2 / 102, 1e-6));
  const code = (event: RunEvent, of = record) => problemFrom(() => of(event)).code;
  assert.equal(code(aside('more', { of: 'left-over', massG: 1e5 })), 'more-than-is-there');
  assert.equal(code(aside('bars', { of: 'pieces', pieces: 1 })), 'not-out-yet');
  assert.equal(code({ kind: 'done', taskId: 'r1/A/l1/pour' }), 'run-has-ended');
  record({ kind: 'taken-back', entryId: 'melt' });
  assert.equal(leftOf(workshop.lots.stockOf(jarOf(workshop, 'Given up').id)), 0);
  assert.equal(code(aside('gone', { of: 'left-over' }), await givenUp(true)), 'run-has-ended');
});

test('pieces are kept, set in as parts in another plan, taken off the shelf whole, and traced to the end', async () => {
  const { workshop, stored } = workshopWith(
    planFile([{ doses: [[fragrance(), '2 %']] }], { name: 'Cubes' }, BOX),
  );
  const scent = bought(workshop, 'scent-1', 'F-7', null, 500);
  const cubes = await makeInWorkshop(workshop, stored.id);
  const kept = aside('kept', { of: 'pieces', pieces: 4, massG: 400, to: { is: 'pieces' } });
  recordEvent(workshop, cubes.id, 'e1', kept);
  recordEvent(workshop, cubes.id, 'e1', kept);
  assert.equal(leftOf(workshop.lots.stockOf(stored.id)), 4);
  const outer = planFile([{}], { name: 'Wedges', pieces: 6 }, BOX).plan;
  const plan = createPlan(workshop, {
    ...outer,
    pours: outer.pours.map((pour) => ({
      ...pour,
      embeds: [
        {
          ...{ id: 'e', as: 'pieces', from: { is: 'plan', planId: stored.id }, perPiece: 2, size: null },
          ...{ heightMm: null, liftMm: 0, standsOutMm: 0, partsOfOne: 4 },
        },
      ],
    })),
  });
  // Twelve wedges out of three cubes.
  const run = await makeInWorkshop(workshop, plan.id);
  assert.equal(leftOf(workshop.lots.stockOf(stored.id)), 1);
  const [embed] = run.snapshot.sheet.pours[0]?.embeds ?? [];
  assert.ok(embed && isClose(embed.massG, 12 * (embed.eachG ?? 0), 1e-9));
  assert.deepEqual(
    run.snapshot.findings.filter(({ code }) => code === 'embed-made-ahead'),
    [],
  );
  const [, through] = (await traceOfLot(workshop, scent.id)).batches;
  assert.deepEqual([through?.planName, through?.through], ['Wedges', [`Batch ${cubes.code}`]]);
});
