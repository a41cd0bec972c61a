import assert from 'node:assert/strict';
import test from 'node:test';
import { isOf } from '../../../tests/support/findings';
import { base, fragrance, isClose, planFile, sheetOf } from '../../../tests/support/planFiles';
import { recorded, runOf } from '../../../tests/support/runs';
import { checkEvent } from './checkEvent';
import { overLimits } from './overLimits';
import { progress, withEvent } from './progress';
import type { RunEvent } from './run';
import { scrapOf } from './scrap';
import { usedMaterials } from './usedMaterials';

const HERE = { round: 0, load: 0, pourIndex: 0 };
const BASE = 'r1/A/l1/base';
const DOSE = 'r1/A/l1/dose-1';

test('2.5 g where the cap is 2 g in 100 g: told before it is ticked, with the base that brings it back', () => {
  const capped = base({ fragranceCapOfBase: 0.02, densityGPerMl: 1 });
  const sheet = sheetOf(planFile([{ base: capped, doses: [[fragrance(), '2 %']] }]));
  const weighed: RunEvent = { kind: 'weighed', taskId: BASE, massG: 100 };
  let run = runOf(sheet, weighed);
  const over = (typedG: number | null) =>
    overLimits(sheet, progress(run), HERE, typedG === null ? null : { taskId: DOSE, massG: typedG });
  assert.deepEqual(over(2), []);
  const [typed] = over(2.5);
  assert.equal(typed?.finding.code, 'fragrance-over-cap');
  // By hand: 2.5 g are 2 % of 125 g.
  assert.ok(isClose(typed?.moreBaseG ?? 0, 25));
  run = withEvent(run, recorded({ kind: 'done', taskId: 'r1/A/l1/melt' }));
  run = withEvent(run, recorded({ kind: 'weighed', taskId: DOSE, massG: 2.5 }));
  assert.ok(isClose(over(null)[0]?.moreBaseG ?? 0, 25));

  // As a task on a press: weighed before the pour, and then the limit is kept.
  const topUp: RunEvent = { kind: 'topped-up', taskId: BASE, massG: 25 };
  assert.ok(checkEvent(run, topUp).success);
  run = withEvent(run, recorded(topUp));
  const asked = progress(run);
  assert.equal(asked.inHand?.id, `${BASE}+1`);
  assert.equal(asked.inHand?.targetG, 25);
  assert.deepEqual(asked.tasks.find(({ id }) => id === 'r1/A/l1/pour')?.unmet, [`${BASE}+1`]);
  run = withEvent(run, recorded({ kind: 'weighed', taskId: `${BASE}+1`, massG: 26 }));
  assert.deepEqual(over(null), []);
  assert.ok(isClose(usedMaterials(run).find(({ materialId }) => materialId === 'base-1')?.amount ?? 0, 126));
  // It is base like any other: what is beyond the molds is left over.
  assert.ok(scrapOf(run).leftOverG >= 0);
  // Taken back twice: the weighing, and then the task.
  run = withEvent(run, recorded({ kind: 'undone', taskId: `${BASE}+1` }));
  run = withEvent(run, recorded({ kind: 'undone', taskId: `${BASE}+1` }));
  assert.ok(progress(run).tasks.every(({ id }) => id !== `${BASE}+1`));
});

test('a supplier’s limit is judged on everything that is in the jug', () => {
  const strict = fragrance({ maxOfProduct: 0.02 });
  const sheet = sheetOf(planFile([{ doses: [[strict, '2 %']] }]));
  const run = runOf(sheet, { kind: 'weighed', taskId: BASE, massG: 100 });
  const [found] = overLimits(sheet, progress(run), HERE, { taskId: DOSE, massG: 2.5 });
  assert.equal(found?.finding.code, 'over-supplier-limit');
  // By hand: 2.5 g are 2 % of 125 g, and 102.5 g are there.
  assert.ok(isClose(found?.moreBaseG ?? 0, 22.5));
});

test('in a jug that goes on, what was weighed before counts for every pour that follows', () => {
  const capped = base({ fragranceCapOfBase: 0.02 });
  const sheet = sheetOf(
    planFile([
      { added: true, base: capped, doses: [[fragrance(), '2 %']] },
      { added: true, base: capped, way: { sameJug: true } },
    ]),
  );
  const baseG = sheet.totals.baseG;
  const run = runOf(
    sheet,
    { kind: 'weighed', taskId: BASE, massG: baseG },
    { kind: 'done', taskId: 'r1/A/l1/melt' },
    { kind: 'weighed', taskId: DOSE, massG: baseG * 0.03 },
  );
  for (const pourIndex of [0, 1]) {
    const [found] = overLimits(sheet, progress(run), { ...HERE, pourIndex });
    assert.ok(
      isOf(found?.finding, 'fragrance-over-cap') && isClose(found.finding.ofBase, 0.03),
      `${pourIndex}`,
    );
  }
});
