import assert from 'node:assert/strict';
import test from 'node:test';
import { spareFill } from './spareFill';

const mold = { capacityMl: 40, usualFillFraction: 0.9 };
const left = (leftOverG: number) => ({
  leftOverG,
  melt: { group: [0], melts: 1, cutG: 60, ofAll: 1, contentMl: 100, contentG: 110 },
});

test('what is left over fills whole cavities and a part, by its volume', () => {
  // By hand: 107 g at 1.1 g/mL are 97.27 mL, and 36 mL a cavity: 2.702.
  const { whole, part } = spareFill(left(107), mold);
  assert.equal(whole, 2);
  assert.ok(Math.abs(part - (107 / 1.1 / 36 - 2)) < 1e-9);
});

test('less than half a cavity is no piece', () => {
  assert.deepEqual(spareFill(left(99), mold), { whole: 2, part: 0.5 });
  assert.deepEqual(spareFill(left(95), mold), { whole: 2, part: 0 });
  assert.deepEqual(spareFill(left(0.1), mold), { whole: 0, part: 0 });
  assert.deepEqual(spareFill(left(79.1), mold), { whole: 2, part: 0 });
});
