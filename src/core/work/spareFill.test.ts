import assert from 'node:assert/strict';
import test from 'node:test';
import { spareFill } from './spareFill';

const mold = { capacityMl: 40, usualFillFraction: 0.9 };
const left = (leftOverG: number) => ({
  leftOverG,
  melt: { group: [0], melts: 1, cutG: 60, ofAll: 1, contentMl: 100, contentG: 110 },
});

test('what is left over fills whole cavities and a part, by its volume', () => {
  // By hand: 99 g at 1.1 g/mL are 90 mL, and 36 mL a cavity: two and a half.
  const { whole, part } = spareFill(left(99), mold);
  assert.equal(whole, 2);
  assert.ok(Math.abs(part - 0.5) < 1e-9);
});

test('a crumb is no cavity', () => {
  assert.deepEqual(spareFill(left(0.1), mold), { whole: 0, part: 0 });
  assert.deepEqual(spareFill(left(79.1), mold), { whole: 2, part: 0 });
});
