import assert from 'node:assert/strict';
import test from 'node:test';
import { BOX, planFile, sheetOf } from '../../../tests/support/planFiles';
import { madeRun, recorded } from '../../../tests/support/runs';
import type { Material } from '../materials/material';
import { progress, withEvent } from '../run/progress';
import { usedMaterials } from '../run/usedMaterials';
import { needOf } from '../stock/need';
import { packedCount } from './packed';
import { planFileSchema } from './planSchema';

const band: Material = {
  ...{ kind: 'packaging', id: 'band', name: 'Band', note: '', lowStock: null },
  archived: false,
};

test('a set that is not full takes as many as a full one', () => {
  assert.deepEqual(
    [0, 1, 6, 7, 12].map((pieces) => packedCount({ count: 2, forPieces: 6 }, pieces)),
    [0, 2, 2, 4, 4],
  );
});

test('packaging is needed by the sheet, and taken when a round is wrapped, for the pieces that are there then', () => {
  const file = planFile([{}], { pieces: 12 }, BOX);
  const packaging = [{ id: 'w1', materialId: 'band', count: 1, forPieces: 1 }];
  const whole = planFileSchema.parse({
    ...file,
    plan: { ...file.plan, packaging },
    materials: [...file.materials, band],
  });
  const sheet = sheetOf(whole);
  assert.equal(needOf(sheet).find(({ materialId }) => materialId === 'band')?.amount, 12);
  assert.equal(planFileSchema.safeParse({ ...file, plan: { ...file.plan, packaging } }).success, false);
  const used = (run: ReturnType<typeof madeRun>) =>
    usedMaterials(run).find(({ materialId }) => materialId === 'band')?.amount ?? 0;
  let run = madeRun(sheet);
  // The last round is wrapped after its run has ended.
  assert.equal(used(run), 6);
  const wraps = progress(run).tasks.filter(({ kind }) => kind === 'wrap');
  assert.equal(wraps.length, 2);
  assert.equal(used(withEvent(run, recorded({ kind: 'done', taskId: wraps[1]?.id ?? '' }))), 12);
  run = withEvent(run, recorded({ kind: 'remarked', note: 'two dropped' }));
  const aside = {
    ...{
      kind: 'set-aside' as const,
      asideId: 'a',
      round: 0,
      of: 'pieces' as const,
      pourIndexes: [],
      massG: 100,
    },
    ...{ pieces: 2, to: { is: 'waste' as const, reason: 'dropped' as const } },
  };
  assert.equal(used(withEvent(run, recorded(aside))), 4);
});
