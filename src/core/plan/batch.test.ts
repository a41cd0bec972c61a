import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { BOX, fragrance, isClose, mold, planFile, sheetOf } from '../../../tests/support/planFiles';
import { applyFix } from '../checks/applyFix';
import { reviewPlan } from '../checks/review';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { fillsOfRound } from '../work/rounds';
import { tasksOf } from '../work/tasksOf';
import type { Batch } from './batch';
import { makeSheet } from './makeSheet';
import type { PlanFile } from './plan';
import { scalePlan } from './scalePlan';
import { withBatch } from './withBatch';

const batch = (massG: number, over: Partial<Batch> = {}): Batch => ({
  by: 'base',
  massG,
  text: `${massG} g`,
  gives: 'pieces',
  ...over,
});

/** Ten bars of 23 mm, and 10 mm of trims. */
const LOAF = mold({
  cavities: 1,
  capacityMl: 1008,
  shape: { kind: 'box', lengthMm: 240, widthMm: 70, depthMm: 60, draftDeg: 0, cornerMm: 0 },
  sliceMm: 23,
  endTrimMm: 5,
});

/** 8 cavities of 100 mL at 1.05 g/mL, filled to 96 %: 100.8 g of base each. */
const TRAY = mold({ cavities: 8 });
const tray = (said: Batch, doses: [ReturnType<typeof fragrance>, string][] = []) =>
  planFile([{ doses }], { pieces: 8, fillFraction: 0.96, batch: said }, TRAY);

test('so much base fills cavities one after the other, and the last with what is left', () => {
  // 748 g are 7 × 100.8 g and 42.4 g: a cavity to 42.4 / 105.
  const sheet = sheetOf(tray(batch(748)));
  assert.ok(isClose(sheet.totals.baseG, 748));
  assert.ok(isClose(sheet.fills, 748 / 100.8));
  assert.deepEqual([sheet.pieces, sheet.piecesMade, sheet.totals.rounds], [8, 8, 1]);
  assert.ok(isClose((sheet.fills - 7) * sheet.fillFraction, 42.4 / 105));
  assert.ok(isClose(sheet.totals.pieceG, 100.8), 'a full piece');
});

test('or it is shared out evenly over the pieces, and the fill follows', () => {
  const sheet = sheetOf(tray(batch(748, { gives: 'fill' })));
  assert.ok(isClose(sheet.fillFraction, 748 / 840));
  assert.ok(isClose(sheet.totals.pieceG, 93.5));
  assert.equal(sheet.fills, 8);
});

test('the weight may be said of all that is in the jug, with its doses and what stays on the walls', () => {
  const file = tray(batch(600, { by: 'jug' }), [[fragrance(), '12 g']]);
  const sheet = sheetOf({ ...file, plan: { ...file.plan, jugLossFraction: 0.03 } });
  assert.ok(isClose(sheet.totals.jugG, 600));
  assert.ok(isClose(sheet.totals.baseG, 588));
  assert.ok(isClose(sheet.totals.intoMoldG, 582));
});

test('less than one fill is one piece that is not so full', () => {
  const sheet = sheetOf(tray(batch(50)));
  assert.deepEqual([sheet.fills, sheet.pieces], [1, 1]);
  assert.ok(isClose(sheet.fillFraction, 50 / 105));
});

test('the last round makes what is left of the batch', () => {
  const sheet = sheetOf(tray(batch(1612.8)));
  assert.deepEqual([sheet.fills, sheet.totals.rounds], [16, 2]);
  const more = sheetOf(tray(batch(1000), [[fragrance(), '2 %']]));
  assert.equal(more.totals.rounds, 2);
  assert.ok(isClose(fillsOfRound(more, 1), more.fills - 8));
  const weighed = tasksOf(more, { ...USUAL_HOUSE_RULES, jugs: [] });
  const massG = weighed.reduce((sum, task) => sum + (task.kind === 'weigh-base' ? task.massG : 0), 0);
  assert.ok(isClose(massG, 1000));
  const scentG = weighed.reduce((sum, task) => sum + (task.kind === 'weigh-dose' ? task.massG : 0), 0);
  assert.ok(isClose(scentG, 20));
});

test('in another number of pieces, a plan by weight stays as full as its weight makes it', () => {
  const file = tray(batch(500, { gives: 'fill' }));
  const sheet = sheetOf(file);
  const doubled = sheetOf({ ...file, plan: scalePlan(file.plan, 16, file, sheet) });
  assert.ok(isClose(doubled.totals.baseG, 1000));
  assert.ok(isClose(doubled.fillFraction, sheet.fillFraction));
});

test('a batch that cannot be is told, and the sheet is the nearest to it', () => {
  const over = sheetOf(tray(batch(2000, { gives: 'fill' })));
  assert.deepEqual([over.batch?.fault, over.fillFraction], ['over', 1]);
  assert.ok(isClose(over.batch?.comesToG ?? 0, 840));
  const fixed = planFile([{ size: '10 mm' }], { pieces: 8, batch: batch(748, { gives: 'fill' }) }, BOX);
  assert.equal(sheetOf(fixed).batch?.fault, 'sizes-fixed');
  const heavy = planFile([{ size: '300 g' }], { batch: batch(100) }, TRAY);
  assert.equal(sheetOf(heavy).batch?.fault, 'sizes-fixed');
  const under = planFile(
    [{ size: '10 mm' }, { size: 'rest' }],
    { pieces: 8, batch: batch(100, { gives: 'fill' }) },
    BOX,
  );
  assert.equal(sheetOf(under).batch?.fault, 'under');
  // Not even one piece is so light.
  const one = { ...under, plan: { ...under.plan, batch: batch(20) } };
  assert.equal(sheetOf(one).batch?.fault, 'under');
  for (const file of [tray(batch(2000, { gives: 'fill' })), fixed, heavy, under, one]) {
    const missed = (each: PlanFile) =>
      reviewPlan(each).findings.filter(({ code }) => code === 'batch-missed');
    const [found] = missed(file);
    assert.deepEqual(missed({ ...file, plan: applyFix(file, found?.fix ?? []) }), []);
  }
});

const anyFile = fc
  .record({
    pours: fc.array(
      fc.record({
        size: fc.constantFrom('1 part', '3 parts', '4 mm', '90 g', '60 g base', 'rest'),
        doses: fc.array(fc.constantFrom('2 %', '7 g', '1 tsp', '6 drops/piece', '3 drops/lb'), {
          maxLength: 2,
        }),
      }),
      { minLength: 1, maxLength: 3 },
    ),
    inMold: fc.constantFrom(BOX, mold({ cavities: 4, copies: 2 }), LOAF),
    pieces: fc.integer({ min: 1, max: 30 }),
    fillFraction: fc.double({ min: 0.5, max: 1, noNaN: true }),
    jugLossFraction: fc.constantFrom(0, 0.03, 0.1),
  })
  .map(({ pours, inMold, ...plan }) =>
    planFile(
      pours.map(({ size, doses }) => ({
        size,
        doses: doses.map((text, place) => [fragrance({ id: `scent-${place}` }), text]),
      })),
      plan,
      inMold,
    ),
  );

test('any plan said by the weight of its sheet is the same plan, and so it is said back as pieces and fill', () => {
  const same = (one: PlanFile, other: PlanFile, within: number) => {
    const [a, b] = [sheetOf(one), sheetOf(other)];
    assert.ok(isClose(a.totals.jugG, b.totals.jugG, within), `${a.totals.jugG} and ${b.totals.jugG}`);
    a.pours.forEach((pour, place) => {
      const its = b.pours[place];
      assert.ok(its && Math.abs(pour.baseG - its.baseG) <= within * a.totals.jugG);
      pour.lines.forEach(({ massG }, line) => {
        assert.ok(Math.abs(massG - (its.lines[line]?.massG ?? 0)) <= within * a.totals.jugG);
      });
    });
  };
  let said = 0;
  fc.assert(
    fc.property(
      anyFile,
      fc.constantFrom<Batch['by']>('base', 'jug'),
      fc.constantFrom<Batch['gives']>('pieces', 'fill'),
      (file, by, gives) => {
        const made = makeSheet(file);
        if (!made.success || made.data.sizeFaults.length > 0) return;
        const { totals } = made.data;
        const massG = by === 'base' ? totals.baseG : totals.jugG;
        if (!(massG >= 1 && massG <= 1e6)) return;
        const byWeight = { ...file, plan: withBatch(file.plan, batch(massG, { by, gives })) };
        const again = makeSheet(byWeight);
        if (!again.success || again.data.batch?.fault) return;
        if (gives === 'pieces' && again.data.fills !== made.data.fills) {
          // Pours of one weight for the whole batch fill less of many cavities: another batch of the same weight.
          assert.ok(isClose(again.data.batch?.comesToG ?? 0, massG, 1e-6));
          return;
        }
        said++;
        same(file, byWeight, 1e-6);
        same(byWeight, { ...file, plan: withBatch(byWeight.plan, null, again.data) }, 1e-6);
      },
    ),
    { numRuns: 300 },
  );
  assert.ok(said > 100, `${said} were said both ways`);
});
