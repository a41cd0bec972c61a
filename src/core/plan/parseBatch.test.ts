import assert from 'node:assert/strict';
import test from 'node:test';
import { G_PER_LB, G_PER_OZ } from '../units/factors';
import { parseBatch } from './parseBatch';

const LOTS = [
  { number: 'CK-0801', left: 0 },
  { number: 'CK-0914', left: 1200 },
  { number: 'CK-1003', left: 5000 },
];
const read = (text: string, system: 'metric' | 'us' = 'metric') => {
  const parsed = parseBatch(text, system, LOTS);
  return parsed.success ? Number(parsed.data.toFixed(6)) : parsed.error.code;
};

test('a batch is said as a weight, or as a part of what is left of a lot', () => {
  assert.deepEqual(
    [
      '1 lb',
      '1.1 kg',
      '600',
      '1 lb 4 oz',
      'half the block',
      'half',
      '¾ of the block',
      'all',
      'all of CK-1003',
    ].map((text) => read(text)),
    [453.59237, 1100, 600, Number((20 * G_PER_OZ).toFixed(6)), 600, 'out-of-range', 900, 1200, 5000],
  );
  assert.deepEqual(
    ['all that is left of lot ck-0914', 'a quarter of the lot', 'all of what is left', 'the whole block'].map(
      (text) => read(text),
    ),
    [1200, 300, 1200, 1200],
  );
  assert.equal(read('1', 'us'), Number((G_PER_LB / 16).toFixed(6)));
});

test('what is no weight is told as what it is', () => {
  assert.deepEqual(
    [
      '',
      'two blocks',
      '3 of the block',
      'all of XX-9',
      'half past nine',
      '0 g',
      '1000.4 kg',
      '-5 g',
      'constructor',
    ].map((text) => read(text)),
    [
      'bad-mass',
      'more-than-all',
      'more-than-all',
      'no-lot',
      'bad-mass',
      'out-of-range',
      'bad-mass',
      'bad-mass',
      'bad-mass',
    ],
  );
  const none = parseBatch('half the block', 'metric', []);
  assert.deepEqual(none, { success: false, error: { code: 'no-lot', number: null } });
});
