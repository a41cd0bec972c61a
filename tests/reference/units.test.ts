import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import Qty from 'js-quantities';
import { G_PER_LB, G_PER_OZ, ML_PER_US_FL_OZ } from '../../src/core/units/factors';
import { parseQuantity } from '../../src/core/units/parseQuantity';
import { isClose } from '../support/planFiles';

test('factors as published: NIST Handbook 44, Appendix C; NIST SP 811, Appendix B', () => {
  assert.equal(G_PER_OZ, 28.349523125);
  assert.equal(G_PER_LB, 453.59237);
  assert.ok(isClose(ML_PER_US_FL_OZ, 29.5735295625, 1e-15));
});

test('conversions agree with a general-purpose units library (js-quantities)', () => {
  const units: [typed: string, theirs: string, inner: 'g' | 'ml'][] = [
    ['mg', 'mg', 'g'],
    ['g', 'g', 'g'],
    ['kg', 'kg', 'g'],
    ['oz', 'oz', 'g'],
    ['lb', 'lbs', 'g'],
    ['mL', 'ml', 'ml'],
    ['L', 'l', 'ml'],
    ['fl oz', 'floz', 'ml'],
    ['tsp', 'tsp', 'ml'],
    ['tbsp', 'tbs', 'ml'],
    ['cup', 'cup', 'ml'],
  ];
  fc.assert(
    fc.property(
      fc.constantFrom(...units),
      fc.integer({ min: 1, max: 99_999 }).map((thousandths) => thousandths / 1000),
      ([typed, theirs, inner], amount) => {
        const parsed = parseQuantity(`${amount} ${typed}`);
        assert.ok(parsed.success);
        const ours =
          parsed.data.kind === 'mass'
            ? parsed.data.massG
            : parsed.data.kind === 'volume'
              ? parsed.data.volumeMl
              : 0;
        assert.ok(isClose(ours, Qty(amount, theirs).to(inner).scalar, 1e-6), `${amount} ${typed}`);
      },
    ),
    { numRuns: 3000 },
  );
});

test('fractions, mixed numbers and decimal commas agree with the library, in every unit', () => {
  const units: [typed: string, theirs: string, inner: 'g' | 'ml'][] = [
    ['oz', 'oz', 'g'],
    ['pounds', 'lbs', 'g'],
    ['mg', 'mg', 'g'],
    ['teaspoons', 'tsp', 'ml'],
    ['fl. oz.', 'floz', 'ml'],
    ['cups', 'cup', 'ml'],
  ];
  const written = fc.oneof(
    fc.tuple(fc.integer({ min: 1, max: 99 }), fc.integer({ min: 1, max: 64 })).map(([above, below]) => ({
      text: `${above}/${below}`,
      value: above / below,
    })),
    fc.tuple(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 7 })).map(([whole, eighths]) => ({
      text: `${whole} ${eighths}/8`,
      value: whole + eighths / 8,
    })),
    fc.constantFrom(['½', 0.5], ['¾', 0.75], ['2⅓', 7 / 3], ['1 ⅞', 1.875]).map(([text, value]) => ({
      text: String(text),
      value: Number(value),
    })),
    fc.integer({ min: 1, max: 99_999 }).map((hundredths) => ({
      text: (hundredths / 100).toFixed(2).replace('.', ','),
      value: hundredths / 100,
    })),
  );
  fc.assert(
    fc.property(fc.constantFrom(...units), written, ([typed, theirs, inner], { text, value }) => {
      const parsed = parseQuantity(`${text} ${typed}`);
      assert.ok(parsed.success, `${text} ${typed}`);
      const { data } = parsed;
      const ours = data.kind === 'mass' ? data.massG : data.kind === 'volume' ? data.volumeMl : Number.NaN;
      assert.ok(isClose(ours, Qty(value, theirs).to(inner).scalar, 1e-6), `${text} ${typed}`);
    }),
    { numRuns: 4000 },
  );
});
