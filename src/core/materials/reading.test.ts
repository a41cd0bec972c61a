import assert from 'node:assert/strict';
import test from 'node:test';
import { additive, fragrance, isClose, planFile, sheetOf } from '../../../tests/support/planFiles';
import { reviewPlan } from '../checks/review';
import { meanOf, type Reading } from './reading';

const drops = (count: number, massG: number, on = '2026-02-01'): Reading => ({
  of: 'drops',
  on,
  count,
  massG,
});

test('readings are taken together by what was counted, with their spread', () => {
  assert.equal(meanOf([], 'drops'), undefined);
  const single = meanOf([drops(20, 0.8)], 'drops');
  assert.deepEqual([single?.gPerOne, single?.spread], [0.04, null]);
  // By hand: 20 drops at 0.040 g and 40 at 0.046 g are 2.64 g in 60 drops; single ratios 0.040 and 0.046 have a
  // mean of 0.043 and a sample deviation of 0.0042426.
  const both = meanOf([drops(40, 1.84, '2026-03-01'), drops(20, 0.8)], 'drops');
  assert.ok(isClose(both?.gPerOne ?? 0, 0.044));
  assert.ok(isClose(both?.spread ?? 0, 0.0042426406871 / 0.043));
  assert.equal(both?.newestOn, '2026-03-01');
  assert.equal(meanOf([drops(20, 0.8)], 'spoon'), undefined);
});

test('a counted bottle gives its own drops, and the sheet no longer rests on a usual one', () => {
  const counted = fragrance({ readings: [drops(20, 0.62)] });
  const usual = reviewPlan(planFile([{ doses: [[fragrance(), '80 drops']] }]));
  const own = reviewPlan(planFile([{ doses: [[counted, '80 drops']] }]));
  assert.ok(isClose(usual.sheet?.pours[0]?.lines[0]?.massG ?? 0, 80 * 0.05 * 0.95));
  assert.ok(isClose(own.sheet?.pours[0]?.lines[0]?.massG ?? 0, 80 * 0.031));
  assert.deepEqual([usual.findings.length, own.findings.length], [1, 0]);
});

test('a weighed spoon and a weighed block are used in the same way', () => {
  const on = '2026-02-01';
  const grit = additive({ role: 'grit', readings: [{ of: 'spoon', on, count: 14.78676478125, massG: 9.6 }] });
  const line = sheetOf(planFile([{ doses: [[grit, '2 tbsp']] }])).pours[0]?.lines[0];
  assert.ok(isClose(line?.massG ?? 0, 19.2));
  const block = additive({ readings: [{ of: 'blocks', on, count: 4, massG: 100 }] });
  assert.ok(
    isClose(sheetOf(planFile([{ doses: [[block, '½ block']] }])).pours[0]?.lines[0]?.massG ?? 0, 12.5),
  );
});
