import assert from 'node:assert/strict';
import test from 'node:test';
import { progress } from '../../src/core/run/progress';
import { runningShort } from '../../src/server/runningShort';
import { recordEvent } from '../../src/server/runs';
import { startRun } from '../../src/server/startRun';
import { addLot } from '../../src/server/stock';
import { planView, planViews } from '../../src/server/views';
import type { Workshop } from '../../src/server/workshop';
import { fragrance, isClose, planFile } from '../support/planFiles';
import { workshopWith } from '../support/workshops';

const file = planFile([{ doses: [[fragrance({ lowStock: 30 }), '2 %']] }]);

function lot(workshop: Workshop, materialId: string, amount: number) {
  addLot(workshop, {
    item: { kind: 'material', id: materialId },
    number: `${materialId} ${amount}`,
    boughtOn: '2026-01-01',
    price: null,
    discountFraction: 0,
    amount,
    bestBefore: null,
    openedOn: null,
    note: '',
  });
}
const short = async (workshop: Workshop) =>
  await runningShort(workshop, await planViews(workshop, workshop.plans.all()));

test('what was never bought is not counted; below its line is low; less than a plan takes is short for it', async () => {
  const { workshop } = workshopWith(file);
  assert.deepEqual(await short(workshop), []);
  lot(workshop, 'scent-1', 25);
  const [low, ...others] = await short(workshop);
  assert.deepEqual(
    [low?.name, low?.left, low?.lowStock, low?.shortFor, others],
    ['Test scent', 25, 30, [], []],
  );
  lot(workshop, 'base-1', 100);
  const base = (await short(workshop)).find(({ materialId }) => materialId === 'base-1');
  const { sheet } = await planView(workshop, workshop.plans.all()[0] as never);
  const needG = sheet?.totals.baseG ?? 0;
  assert.equal(base?.shortFor[0]?.name, 'Test plan');
  assert.ok(isClose(base?.shortFor[0]?.short ?? 0, needG - 100));
  workshop.materials.update({ ...fragrance({ lowStock: 30 }), archived: true }, 1, '2026-01-01');
  assert.deepEqual(
    (await short(workshop)).map(({ materialId }) => materialId),
    ['base-1'],
  );
});

test('a run on the bench still needs what is not weighed yet', async () => {
  const { workshop, stored } = workshopWith(file);
  lot(workshop, 'scent-1', 40);
  const run = startRun(workshop, crypto.randomUUID(), stored.id);
  const weigh = (taskId: string, massG: number) =>
    recordEvent(workshop, run.id, crypto.randomUUID(), { kind: 'weighed', taskId, massG });
  const [base] = progress(run).tasks;
  // Ten times the base in the jug: the dose follows, and is short.
  weigh('r1/A/l1/base', (base?.targetG ?? 0) * 10);
  const onBench = async () =>
    (await short(workshop)).flatMap(({ shortFor }) => shortFor.map(({ href }) => href));
  assert.deepEqual(await onBench(), [`/bench/${run.id}`]);
  recordEvent(workshop, run.id, crypto.randomUUID(), { kind: 'done', taskId: 'r1/A/l1/melt' });
  weigh('r1/A/l1/dose-1', 30);
  // What was weighed is off the shelf: the run wants no more of it, and another making is short.
  assert.deepEqual(await onBench(), [`/plans/${stored.id}`]);
});
