import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { anyPlanFile } from '../support/anyPlanFile';
import { agreesEverywhere } from '../support/oneList';

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
