import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { reviewPlan } from '../../src/core/checks/review';
import { NO_MOLD } from '../../src/core/molds/noMold';
import type { Plan } from '../../src/core/plan/plan';
import { planSchema } from '../../src/core/plan/planSchema';
import { z } from '../../src/core/zod';
import { importPlan } from '../../src/server/importPlan';
import { planFileOf } from '../../src/server/planFile';
import { createPlan, duplicatePlan, findPlan, savePlan } from '../../src/server/plans';
import { saveRecord } from '../../src/server/records';
import { startRun } from '../../src/server/startRun';
import { firstPlan } from '../../src/server/views';
import { anyPlanFile } from '../support/anyPlanFile';
import { additive, base, fragrance, mold, namedBy, planFile } from '../support/planFiles';
import { emptyWorkshop, problemFrom, workshopWith } from '../support/workshops';

const file = planFile([
  {
    doses: [
      [fragrance(), '2 %'],
      [additive(), '6 g'],
    ],
  },
]);

test('a save moves the revision; a save against an old one is told what differs, and nothing is lost', () => {
  const { workshop, stored } = workshopWith(file);
  const theirs = savePlan(workshop, stored.id, { ...stored.plan, pieces: 12 }, stored.revision);
  assert.deepEqual([theirs.revision, theirs.version], [2, 1]);
  assert.deepEqual(theirs, findPlan(workshop, stored.id));
  const problem = problemFrom(() =>
    savePlan(workshop, stored.id, { ...stored.plan, pieces: 18 }, stored.revision),
  );
  assert.deepEqual([problem.status, problem.code], [409, 'changed-elsewhere']);
  assert.deepEqual(problem.more.differences, [{ path: ['pieces'], mine: 18, theirs: 12 }]);
  assert.equal(problem.more.revision, 2);
  assert.equal(findPlan(workshop, stored.id).plan.pieces, 12);
  // Keep mine: the same save against the revision that the answer named.
  assert.equal(savePlan(workshop, stored.id, { ...stored.plan, pieces: 18 }, 2).plan.pieces, 18);
});

test('a save that is sent twice, because its answer got lost, is no conflict', () => {
  const { workshop, stored } = workshopWith(file);
  const mine = { ...stored.plan, pieces: 12 };
  const first = savePlan(workshop, stored.id, mine, stored.revision);
  assert.deepEqual(savePlan(workshop, stored.id, structuredClone(mine), stored.revision), first);
});

test('a version that a run has used stays; the next save begins a new one', async () => {
  const { workshop, stored } = workshopWith(file);
  const run = startRun(workshop, crypto.randomUUID(), stored.id);
  const next = savePlan(workshop, stored.id, { ...stored.plan, name: 'Changed' }, stored.revision);
  assert.deepEqual([next.version, next.used], [2, false]);
  assert.deepEqual(next, findPlan(workshop, stored.id));
  assert.equal(savePlan(workshop, stored.id, { ...next.plan, pieces: 7 }, next.revision).version, 2);
  assert.equal(findPlan(workshop, stored.id, 1).plan.name, 'Test plan');
  assert.equal(findPlan(workshop, stored.id, 1).used, true);
  assert.equal(workshop.runs.find(run.id)?.snapshot.sheet.planName, 'Test plan');
});

test('an older version that can’t be read costs itself only', async () => {
  const { workshop, stored } = workshopWith(file);
  startRun(workshop, crypto.randomUUID(), stored.id);
  savePlan(workshop, stored.id, { ...stored.plan, name: 'Changed' }, stored.revision);
  workshop.db.exec('DROP TRIGGER used_versions_stay');
  workshop.db.prepare("UPDATE plan_versions SET record = '{}' WHERE version = 1").run();
  assert.equal(findPlan(workshop, stored.id).plan.name, 'Changed');
  assert.throws(() => findPlan(workshop, stored.id, 1), /can’t be read: /);
  assert.equal(problemFrom(() => findPlan(workshop, stored.id, 3)).status, 404);
});

test('a plan that names something unknown is refused with the path of the field', () => {
  const { workshop, stored } = workshopWith(file);
  const [pour] = stored.plan.pours;
  assert.ok(pour);
  const cases = [
    { plan: { ...stored.plan, moldId: 'nowhere' }, path: 'plan.moldId' },
    { plan: { ...stored.plan, pours: [{ ...pour, baseId: 'nowhere' }] }, path: 'plan.pours.0.baseId' },
    { plan: { ...stored.plan, pours: [{ ...pour, baseId: 'scent-1' }] }, path: 'plan.pours.0.baseId' },
    {
      plan: {
        ...stored.plan,
        pours: [{ ...pour, doses: pour.doses.map((dose) => ({ ...dose, materialId: 'base-1' })) }],
      },
      path: 'plan.pours.0.doses.0.materialId',
    },
  ];
  for (const { plan, path } of cases) {
    const problem = problemFrom(() => createPlan(workshop, plan));
    assert.equal(problem.status, 422);
    assert.equal(problem.more.errors?.[0]?.path, path);
  }
});

test('export and import into another workshop give the same sheet to the last digit', () => {
  const { workshop, stored } = workshopWith(file);
  const exported = planFileOf(workshop, stored.plan);
  const other = emptyWorkshop();
  const taken = importPlan(other, JSON.parse(JSON.stringify(exported)));
  assert.deepEqual(reviewPlan(planFileOf(other, taken.plan)), reviewPlan(exported));
});

test('import leaves what is here alone: the same record is shared, one that differs comes in beside it', () => {
  const { workshop } = workshopWith(file);
  importPlan(workshop, file);
  assert.equal(workshop.materials.all().length, 3);
  const theirs = planFile(
    [{ base: base({ densityGPerMl: 1.2 }), doses: [[fragrance(), '2 %']] }],
    {},
    mold(),
  );
  const taken = importPlan(workshop, theirs);
  assert.equal(workshop.materials.all().length, 4);
  assert.deepEqual(workshop.materials.find('base-1')?.item, base());
  const weights = (review: ReturnType<typeof reviewPlan>) => review.sheet?.totals;
  assert.deepEqual(weights(reviewPlan(planFileOf(workshop, taken.plan))), weights(reviewPlan(theirs)));
  importPlan(workshop, theirs);
  assert.equal(workshop.materials.all().length, 4);
});

test('a second mold comes in with its plan; no mold is none in the book, and no run begins without one', async () => {
  const workshop = emptyWorkshop();
  const plain = planFile([{}], { pieces: 8 });
  const second = mold({ id: 'rounds', name: 'Rounds', capacityMl: 40 });
  const taken = importPlan(workshop, {
    ...plain,
    plan: { ...plain.plan, secondMoldId: second.id },
    secondMold: second,
  });
  assert.deepEqual(
    workshop.molds
      .all()
      .map(({ item }) => item.name)
      .sort(),
    ['Rounds', 'Test mold'],
  );
  assert.equal(planFileOf(workshop, taken.plan).secondMold?.name, 'Rounds');

  const batch = { by: 'base' as const, massG: 600, text: '600 g', gives: 'pieces' as const };
  const unmolded = importPlan(workshop, planFile([{}], { pieces: 1, batch }, NO_MOLD));
  assert.equal(workshop.molds.all().length, 2);
  assert.equal(unmolded.plan.moldId, NO_MOLD.id);
  assert.throws(() => startRun(workshop, 'run', unmolded.id), { code: 'no-mold' });
});

test('an import that fails half way brings nothing in', () => {
  const workshop = emptyWorkshop();
  const broken = {
    ...file,
    plan: { ...file.plan, pours: file.plan.pours.map((pour) => ({ ...pour, baseId: 'gone' })) },
  };
  assert.throws(() => importPlan(workshop, broken));
  assert.deepEqual(
    [workshop.materials.all().length, workshop.molds.all().length, workshop.plans.all().length],
    [0, 0, 0],
  );
});

test('a copy stands on its own, and a long name still fits', () => {
  const { workshop, stored } = workshopWith({ ...file, plan: { ...file.plan, name: 'n'.repeat(120) } });
  const copy = duplicatePlan(workshop, stored.id);
  assert.notEqual(copy.id, stored.id);
  assert.equal(copy.plan.name.length, 120);
  savePlan(workshop, copy.id, { ...copy.plan, pieces: 99 }, copy.revision);
  assert.equal(findPlan(workshop, stored.id).plan.pieces, 6);
});

test('a material saved elsewhere meanwhile is a conflict too', () => {
  const { workshop } = workshopWith(file);
  const item = base({ name: 'Mine' });
  saveRecord(workshop.materials, 'material', base({ name: 'Theirs' }), 1, workshop.now());
  const problem = problemFrom(() => saveRecord(workshop.materials, 'material', item, 1, workshop.now()));
  assert.equal(problem.code, 'changed-elsewhere');
  assert.deepEqual(problem.more.differences, [{ path: ['name'], mine: 'Mine', theirs: 'Theirs' }]);
  const unknown = problemFrom(() =>
    saveRecord(workshop.materials, 'material', base({ id: 'x' }), 1, workshop.now()),
  );
  assert.equal(unknown.status, 404);
});

test('a new plan starts from the first mold and base, or not at all', () => {
  assert.equal(firstPlan(emptyWorkshop()), null);
  const { workshop } = workshopWith(file);
  assert.equal(firstPlan(workshop)?.moldId, 'mold-1');
});

test('a plan is found by what its name holds, whatever case it is typed in, and signs mean themselves', () => {
  const { workshop, stored } = workshopWith(file);
  const named = (name: string) => createPlan(workshop, { ...stored.plan, name });
  for (const name of ['Night Ferry', 'Day_Ferry', '100 % oats', 'Äpfel & Öl']) named(name);
  const found = (text: string) =>
    workshop.plans
      .page(50, 0, text)
      .items.map(({ plan }) => plan.name)
      .toSorted();
  assert.deepEqual(found('fERRY'), ['Day_Ferry', 'Night Ferry']);
  assert.deepEqual(
    [found('_'), found('%'), found("'"), found('')].map((names) => names.length),
    [1, 1, 0, 5],
  );
  assert.deepEqual(found('äPFEL'), ['Äpfel & Öl']);
  assert.equal(workshop.plans.page(50, 0, 'ferry').total, 2);
});

test('what a transaction reads that is taken back is not kept', () => {
  const { workshop } = workshopWith(file);
  const names = () => workshop.plans.page(10, 0).items.map(({ plan }) => plan.name);
  const before = names();
  assert.throws(() =>
    workshop.db.transaction(() => {
      createPlan(workshop, { ...file.plan, name: 'Taken back' });
      assert.deepEqual(names().toSorted(), ['Taken back', ...before].toSorted());
      throw new Error('taken back');
    })(),
  );
  assert.deepEqual(names(), before);
});

test('what any version of any plan names is known without reading it, and follows what is written', () => {
  const workshop = emptyWorkshop();
  const { plans, putAway } = workshop;
  const [packed, ...sampled] = fc.sample(anyPlanFile(6), { numRuns: 60, seed: 8 }).map(({ plan }) => plan);
  const [pour, ...pours] = packed?.pours ?? [];
  if (!packed || !pour) assert.fail('no plan');
  const all: Plan[] = [
    ...sampled,
    {
      ...packed,
      packaging: [{ id: 'boxed', materialId: 'a box', count: 1, forPieces: 6 }],
      pours: [{ ...pour, remelt: { scrapId: 'trimmings', ofBase: 0.2 } }, ...pours],
    },
  ];
  const known = () => new Set(plans.materialsNamed());
  for (const [n, plan] of all.entries()) plans.insert(`plan-${n}`, plan, '2026-01-01T00:00:00.000Z');
  assert.deepEqual(known(), namedBy(all));
  // The first becomes what the second is, beside what it was; the third is written over.
  const [first, second, third, ...others] = all;
  if (!first || !second || !third) assert.fail('no plans');
  plans.save('plan-0', second, 2, true, 1, '2026-01-02T00:00:00.000Z');
  plans.save(
    'plan-2',
    { ...third, pours: second.pours, packaging: [] },
    1,
    false,
    1,
    '2026-01-02T00:00:00.000Z',
  );
  assert.deepEqual(known(), namedBy([first, second, ...others]));
  for (const n of others.keys())
    putAway.put({ kind: 'plan', id: `plan-${n + 3}`, state: 'deleted', at: '2026-01-03T00:00:00.000Z' });
  plans.forgetDeleted('2026-01-04T00:00:00.000Z');
  assert.deepEqual(known(), namedBy([first, second]));
  // Whatever field of a plan comes to name a material, the database has to be told of it.
  const ids = JSON.stringify(z.toJSONSchema(planSchema, { io: 'input', unrepresentable: 'any' })).matchAll(
    /"(\w+Id)":\{/g,
  );
  assert.deepEqual([...new Set([...ids].map(([, name]) => name))].toSorted(), [
    ...['baseId', 'dispersantId', 'materialId', 'moldId', 'planId', 'scrapId', 'secondMoldId'],
  ]);
});
