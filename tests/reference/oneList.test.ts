import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { anyPlanFile } from '../support/anyPlanFile';
import { agreesEverywhere } from '../support/oneList';
import { mold, planFile, scrap } from '../support/planFiles';

test('five hundred plans of any kind: strip, list, paper and bench have one list of tasks', (t) => {
  const seed = Date.now() % 2 ** 31;
  t.diagnostic(`seed ${seed}`);
  let sheets = 0;
  fc.assert(
    fc.property(anyPlanFile(4), (file) => {
      if (agreesEverywhere(file)) sheets++;
    }),
    { numRuns: 500, seed },
  );
  assert.ok(sheets > 150, `${sheets} sheets of 500 plans`);
});

test('a pour of next to nothing beside a filling, on a leaning one: it is cut, melted and timed like any other', () => {
  const filling = (id: string, ofRoom: number) => [
    { as: 'filling' as const, from: { is: 'shelf' as const, materialId: id }, ofRoom },
  ];
  const offcuts = scrap();
  const file = planFile(
    [
      { way: { lean: { deg: 0.5, along: 'length' } }, embeds: filling(offcuts.id, 0.01) },
      { size: 'to 14 mm' },
      { way: { besideShare: 0.05 }, embeds: filling(offcuts.id, 0.9) },
    ],
    { pieces: 1, fillFraction: 0.95, jugLossFraction: 0.03 },
    mold({ shape: { kind: 'cylinder', diameterMm: 64, depthMm: 25 } }),
    [offcuts],
  );
  assert.ok(agreesEverywhere(file));
});
