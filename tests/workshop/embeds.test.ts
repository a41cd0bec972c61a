import assert from 'node:assert/strict';
import test from 'node:test';
import { reviewPlan } from '../../src/core/checks/review';
import type { Embed } from '../../src/core/plan/embed';
import type { PlanFile } from '../../src/core/plan/plan';
import { leftOf } from '../../src/core/stock/stock';
import { importPlan } from '../../src/server/importPlan';
import { planFileOf } from '../../src/server/planFile';
import { createPlan, findPlan, madeByOthers, savePlan } from '../../src/server/plans';
import { BOX, base, isClose, mold, pieces, planFile } from '../support/planFiles';
import { makeInWorkshop } from '../support/runs';
import { emptyWorkshop, problemFrom, workshopWith } from '../support/workshops';

const SMALL = mold({
  id: 'small',
  name: 'Small mold',
  capacityMl: 5,
  cavities: 12,
  shape: { kind: 'box', lengthMm: 25, widthMm: 20, depthMm: 10, draftDeg: 0, cornerMm: 0 },
});
const boatFile = planFile(
  [{ base: base({ id: 'white', look: 'white', densityGPerMl: 1.05 }) }],
  { name: 'Boat' },
  SMALL,
);
const withBoat = (planId: string): PlanFile['plan'] =>
  planFile([{ embeds: [pieces('', { from: { is: 'plan', planId } })] }], { name: 'Bar' }, BOX).plan;

/** A boat's plan, and a bar that one is set into. */
function harbour() {
  const { workshop, stored: boat } = workshopWith(boatFile);
  importPlan(workshop, planFile([{}], {}, BOX));
  return { workshop, boat, bar: createPlan(workshop, withBoat(boat.id)) };
}

test('a plan’s piece is as its plan makes it now: weight, volume, height and colour', async () => {
  const { workshop, boat, bar } = harbour();
  const [made] = planFileOf(workshop, bar.plan).made ?? [];
  assert.ok(made && isClose(made.pieceG ?? 0, 5 * 1.05) && isClose(made.pieceMl ?? 0, 5));
  assert.ok(isClose(made.heightMm ?? 0, 10) && made.colour !== null);
  savePlan(workshop, boat.id, { ...boat.plan, fillFraction: 0.5 }, boat.revision);
  const [smaller] = planFileOf(workshop, bar.plan).made ?? [];
  assert.ok(isClose(smaller?.pieceMl ?? 0, 2.5));
  assert.deepEqual((await madeByOthers(workshop, bar.id)).map(({ name }) => name).sort(), [
    'Boat',
    'Test plan',
  ]);
});

test('plans that are set into one another have no size, and nothing runs round in a circle', () => {
  const { workshop, boat, bar } = harbour();
  const circle = savePlan(
    workshop,
    boat.id,
    {
      ...boat.plan,
      pours: boat.plan.pours.map((pour) => ({
        ...pour,
        embeds: [{ id: 'e1', ...pieces('', { from: { is: 'plan', planId: bar.id } }) } as Embed],
      })),
    },
    boat.revision,
  );
  const { findings } = reviewPlan(planFileOf(workshop, circle.plan));
  assert.ok(findings.some(({ code, severity }) => code === 'embed-in-itself' && severity === 'stop'));
  const self = savePlan(workshop, bar.id, withBoat(bar.id), findPlan(workshop, bar.id).revision);
  assert.deepEqual(planFileOf(workshop, self.plan).made?.[0]?.pieceG, null);
  assert.equal(problemFrom(() => createPlan(workshop, withBoat('gone'))).status, 422);
});

test('a plan that comes alone brings its pieces as bought ones, to the same sheet; at home it keeps its plan', () => {
  const { workshop, boat, bar } = harbour();
  const file = JSON.parse(JSON.stringify(planFileOf(workshop, bar.plan))) as PlanFile;
  assert.equal(file.made?.[0]?.ofBase?.name, 'Test base');
  const other = emptyWorkshop();
  const taken = importPlan(other, file);
  assert.deepEqual(
    other.materials.all().map(({ item }) => [item.kind, item.name]),
    [
      ['piece', 'Boat'],
      ['base', 'Test base'],
    ],
  );
  const here = reviewPlan(planFileOf(other, taken.plan)).sheet;
  const there = reviewPlan(file).sheet;
  assert.deepEqual(here?.totals, there?.totals);
  const back = importPlan(workshop, file);
  assert.deepEqual(back.plan.pours[0]?.embeds?.[0]?.from, { is: 'plan', planId: boat.id });
});

test('what a run leaves goes into the scrap jar once, lot by lot, and can be set into the next plan', async () => {
  const { workshop, stored } = workshopWith(
    planFile([{ size: '5 mm', way: { trimmed: true } }, { size: 'rest' }], {}, BOX),
  );
  await makeInWorkshop(workshop, stored.id, { toScrapG: 88.5 });
  await makeInWorkshop(workshop, stored.id, { toScrapG: 11.5 });
  await makeInWorkshop(workshop, stored.id);
  const jars = workshop.materials.all().filter(({ item }) => item.kind === 'scrap');
  assert.deepEqual(
    jars.map(({ item }) => item.name),
    ['Scrap of Test plan'],
  );
  const id = jars[0]?.item.id ?? '';
  const lots = workshop.lots.stock().get(id) ?? [];
  assert.deepEqual([lots.length, leftOf(lots)], [2, 100]);

  const filled = planFile([{}], {}, BOX).plan;
  const plan = createPlan(workshop, {
    ...filled,
    pours: filled.pours.map((pour) => ({
      ...pour,
      embeds: [{ id: 'e1', as: 'filling', from: { is: 'shelf', materialId: id }, ofRoom: 0.1 }],
    })),
  });
  const usedG = reviewPlan(planFileOf(workshop, plan.plan)).sheet?.pours[0]?.embeds[0]?.massG ?? 0;
  await makeInWorkshop(workshop, plan.id);
  assert.ok(isClose(leftOf(workshop.lots.stock().get(id) ?? []), 100 - usedG, 1e-9));
});
