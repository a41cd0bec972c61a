import assert from 'node:assert/strict';
import test from 'node:test';
import { certainMinor } from '../../src/core/cost/bounds';
import { newProduct } from '../../src/core/product/newProduct';
import { runCost } from '../../src/server/costs';
import { saveHouseRules } from '../../src/server/houseRules';
import { importPlan } from '../../src/server/importPlan';
import { packCost } from '../../src/server/packCosts';
import { costsOfMade } from '../../src/server/pieceCosts';
import { planFileOf } from '../../src/server/planFile';
import { createPlan, savePlan } from '../../src/server/plans';
import { findRun, recordEvent } from '../../src/server/runs';
import { addLot } from '../../src/server/stock';
import type { Workshop } from '../../src/server/workshop';
import { BOX, fragrance, isClose, mold, pieces, planFile, sheetOf } from '../support/planFiles';
import { makeInWorkshop } from '../support/runs';
import { workshopWith } from '../support/workshops';

function bought(
  workshop: Workshop,
  id: string,
  price: string | null,
  amount: number,
  bestBefore: string | null,
) {
  return addLot(workshop, {
    item: { kind: 'material', id },
    ...{ number: `${id} ${price}`, boughtOn: '2026-01-05', price, discountFraction: 0, amount },
    ...{ bestBefore, openedOn: null, note: '' },
  }).item;
}

test('a run costs what its lots, hands and the house cost, less what it passed on; its good pieces carry it, and each cause is told', async () => {
  const { workshop, stored } = workshopWith(planFile([{ doses: [[fragrance(), '2 %']] }], {}, BOX));
  // Base of 0.01 a gram, the first to expire at 0.02; scent of 0.2 a gram.
  bought(workshop, 'base-1', '50', 5000, '2031-01-01');
  bought(workshop, 'base-1', '2', 100, '2030-01-01');
  bought(workshop, 'scent-1', '100', 500, null);
  const rules = workshop.houseRules.read();
  const reckoned = { ...rules.item, handsPerHour: '12', fixedPerMonth: '80', batchesPerMonth: 8 };
  saveHouseRules(workshop, reckoned, rules.revision);
  const run = await makeInWorkshop(workshop, stored.id, { goodPieces: 5 });
  const { planned, real, difference } = runCost(workshop, run);
  const used = (id: string) =>
    run.events.reduce((sum, { event }) => {
      if (event.kind !== 'weighed') return sum;
      const isBase = event.taskId.endsWith('/base');
      return isBase === (id === 'base-1') ? sum + event.massG : sum;
    }, 0);
  const of = (cost: typeof real, part: string) =>
    cost.lines.filter((line) => line.part === part).reduce((sum, line) => sum + line.cost.leastMinor, 0);
  // By hand, in ten-thousandths: 100 g at 200, the rest at 100, scent at 2000.
  assert.ok(isClose(of(real, 'base'), 100 * 200 + (used('base-1') - 100) * 100, 1e-6));
  assert.ok(isClose(of(real, 'dose'), used('scent-1') * 2000, 1e-6));
  assert.equal(of(real, 'fixed'), 100_000);
  const hands = real.lines.find(({ part }) => part === 'hands');
  assert.ok(isClose(of(real, 'hands'), ((hands?.amount ?? 0) * 120_000) / 3600));
  assert.ok(isClose(of(planned, 'base'), of(real, 'base'), 1e-3), 'at the lots as they stood before');
  assert.deepEqual([planned.pieces, real.pieces], [6, 5]);
  assert.ok(isClose(real.perPiece?.leastMinor ?? 0, (certainMinor(real.total) ?? 0) / 5));
  assert.ok(difference && Math.abs(difference.byPiecesMinor - real.total.leastMinor * (1 / 5 - 1 / 6)) < 1);

  // What goes into a jar is paid for by what it is melted into; taken back, it is not.
  const before = certainMinor(real.total) ?? 0;
  const toJar = {
    ...{ kind: 'set-aside' as const, asideId: 'jar', round: null, of: 'left-over' as const },
    ...{ pourIndexes: [], massG: 50, pieces: null, to: { is: 'jar' as const, name: 'Ends' } },
  };
  recordEvent(workshop, run.id, 'e1', toJar);
  const jarMinor = 50 * ((100 / 102) * (of(real, 'base') / used('base-1')) + (2 / 102) * 2000);
  const passed = runCost(workshop, findRun(workshop, run.id)).real;
  assert.ok(isClose(before - (certainMinor(passed.total) ?? 0), jarMinor, 1e-3));
  recordEvent(workshop, run.id, 'e2', { kind: 'taken-back', entryId: 'jar' });
  const back = runCost(workshop, findRun(workshop, run.id)).real;
  assert.ok(isClose(certainMinor(back.total) ?? 0, before));
});

test('a price that nobody knows is not nothing: the cost is at least so much, and says of what', async () => {
  const { workshop, stored } = workshopWith(planFile([{ doses: [[fragrance(), '2 %']] }], {}, BOX));
  bought(workshop, 'base-1', '50', 5000, null);
  bought(workshop, 'scent-1', null, 500, null);
  const run = await makeInWorkshop(workshop, stored.id);
  const { real, difference } = runCost(workshop, run);
  assert.deepEqual([real.total.mostMinor, difference], [null, null]);
  assert.ok(real.total.leastMinor > 0);
  // Another lot of it bounds it from both sides.
  bought(workshop, 'scent-1', '100', 500, null);
  assert.ok(certainMinor(runCost(workshop, run).real.total) !== null);
});

const SMALL = mold({
  ...{ id: 'small', name: 'Small mold', capacityMl: 5, cavities: 12 },
  shape: { kind: 'box', lengthMm: 25, widthMm: 20, depthMm: 10, draftDeg: 0, cornerMm: 0 },
});

test('pieces that another plan makes cost what that is planned to, and hands stay with that; a circle ends', async () => {
  const { workshop, stored: cube } = workshopWith(planFile([{}], { name: 'Cube', pieces: 6 }, SMALL));
  importPlan(workshop, planFile([{}], {}, BOX));
  bought(workshop, 'base-1', '100', 10_000, null);
  const within = (planId: string) =>
    planFile([{ embeds: [pieces('', { from: { is: 'plan', planId } })] }], {}, BOX).plan;
  const bar = createPlan(workshop, { ...within(cube.id), name: 'Bar' });
  const product = {
    ...newProduct({ id: bar.id, name: 'Bar' }, 'eu-cosmetic', { widthMm: 60, heightMm: 40 }),
    ...{ id: 'bar', packaging: [] },
  };
  const costOfBar = () => certainMinor(packCost(workshop, product, []).total);
  const cubeMinor = () =>
    certainMinor(costsOfMade(workshop, [cube.id]).get(cube.id) ?? { leastMinor: 0, mostMinor: null });
  // All base, of 0.01 a gram.
  const sheet = sheetOf(planFileOf(workshop, cube.plan));
  const planned = (sheet.totals.baseG / sheet.pieces) * 100;
  assert.ok(isClose(cubeMinor() ?? 0, planned));
  const whole = costOfBar() ?? 0;
  const around = sheetOf(planFileOf(workshop, bar.plan));
  assert.ok(isClose(whole, (around.totals.baseG / around.pieces) * 100 + planned));
  // Hands and the house stay with the batch of cubes: what is made of it costs the same when they are reckoned.
  const rules = workshop.houseRules.read();
  saveHouseRules(workshop, { ...rules.item, fixedPerMonth: '80', batchesPerMonth: 8 }, rules.revision);
  await makeInWorkshop(workshop, cube.id, { goodPieces: 4 });
  assert.ok(isClose(cubeMinor() ?? 0, planned));
  assert.ok(isClose(costOfBar() ?? 0, whole + 100_000 / around.pieces));
  savePlan(workshop, bar.id, within(bar.id), bar.revision);
  assert.equal(costsOfMade(workshop, [bar.id, 'gone']).get('gone')?.mostMinor, null);
});
