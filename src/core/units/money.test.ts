import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { minorUnitsOf, moneyOf, payable } from './money';
import { moneySchema } from './moneySchema';

test('money comes back as it was written, and none is lost to binary fractions', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 99_999_999_999 }), (minor) => {
      const text = moneyOf(minor);
      assert.ok(moneySchema.safeParse(text).success);
      assert.equal(minorUnitsOf(text), minor);
    }),
  );
  assert.deepEqual(
    ['0', '0.1', '12.50', '12.5', '1000000', '0.0001'].map(minorUnitsOf),
    [0, 1000, 125_000, 125_000, 10_000_000_000, 1],
  );
  // Ten cents, three times: 0.1 + 0.2 in binary is 0.30000000000000004.
  assert.equal(moneyOf(minorUnitsOf('0.1') + minorUnitsOf('0.2')), '0.3');
  for (const bad of ['', '-1', '1,5', '1.23456', '1e3', '.5', 'constructor'])
    assert.ok(!moneySchema.safeParse(bad).success, bad);
  assert.throws(() => minorUnitsOf('1,5'), RangeError);
  assert.throws(() => moneyOf(0.5), RangeError);
});

test('what is shown is what is added up, in the digits of its currency (ISO 4217: EUR 2, JPY 0, KWD 3)', () => {
  const rows = [minorUnitsOf('6.573'), minorUnitsOf('3.374')].map((minor) => payable(minor, 'EUR'));
  assert.deepEqual(rows.map(moneyOf), ['6.57', '3.37']);
  assert.equal(moneyOf(rows.reduce((sum, each) => sum + each, 0)), '9.94');
  assert.deepEqual(
    ['EUR', 'JPY', 'KWD'].map((currency) => moneyOf(payable(minorUnitsOf('12.3456'), currency))),
    ['12.35', '12', '12.346'],
  );
});
