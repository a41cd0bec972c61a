import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { isClose } from '../../../tests/support/planFiles';
import { PRICE_ENDINGS, USUAL_PRICING } from '../houseRules/pricing';
import { packCostOf } from './pack';
import { priceAt, pricesOf } from './price';

const EUR = 10_000;

test('a price by margin, and one by mark-up, by hand', () => {
  // 2.00 at a margin of 0.6, with tax of 0.2 and fees of 0.05 of what is paid: n = 2 / (1 − 0.6 − 0.05 · 1.2) = 5.8823…, paid 7.0588… → 7.06.
  const told = pricesOf(2 * EUR, 10, { ...USUAL_PRICING, tax: 0.2, fee: 0.05 }, 'EUR');
  assert.equal(told?.retail.grossMinor, 7.06 * EUR);
  assert.ok(isClose(told?.retail.taxMinor ?? 0, (7.06 - 7.06 / 1.2) * EUR));
  assert.ok(isClose(told?.retail.feeMinor ?? 0, 0.353 * EUR));
  assert.ok(isClose(told?.retail.margin ?? 0, (7.06 / 1.2 - 0.353 - 2) / (7.06 / 1.2)));
  // Wholesale at 0.4 without fees: 3.3333… and tax: 4.00.
  assert.equal(told?.wholesale.grossMinor, 4 * EUR);
  // A batch of 20.00 is paid by 7.06 − tax − fee = 5.5303 a piece: four pieces.
  assert.equal(told?.breakEven, 4);
  const up = pricesOf(2 * EUR, 10, { ...USUAL_PRICING, by: 'mark-up', markUp: 1.5, ending: 'ninety' }, 'EUR');
  assert.equal(up?.retail.grossMinor, 5.9 * EUR);
  assert.equal(pricesOf(2 * EUR, 10, { ...USUAL_PRICING, margin: 0.95, fee: 0.1 }, 'EUR'), null);
  // A cost of nothing has a price of nothing, whatever it ends on.
  assert.equal(pricesOf(0, 10, { ...USUAL_PRICING, ending: 'ninety' }, 'EUR')?.retail.grossMinor, 0);
  // No cents, no such ending.
  assert.equal(
    pricesOf(200 * EUR, 1, { ...USUAL_PRICING, ending: 'ninety' }, 'JPY')?.retail.grossMinor,
    500 * EUR,
  );
});

test('what stays of a price that is set, by hand; of one that is not known, nothing is said', () => {
  // 7.50 with tax of 0.25 is 6.00; fees of 0.05 of what is paid are 0.375; at a cost of 2.40 it earns 3.225.
  const at = priceAt(7.5 * EUR, 2.4 * EUR, { tax: 0.25, fee: 0.05 });
  assert.ok(isClose(at.taxMinor, 1.5 * EUR) && isClose(at.feeMinor, 0.375 * EUR));
  assert.ok(isClose(at.earnedMinor, 3.225 * EUR) && isClose(at.margin, 3.225 / 6));
  const line = (leastMinor: number, mostMinor: number | null) => ({
    ...{ name: 'Piece', count: 1, by: 'plan' as const },
    cost: { leastMinor, mostMinor },
  });
  const listed = { retail: '7.5', wholesale: null };
  const pricing = { ...USUAL_PRICING, tax: 0.25, fee: 0.05 };
  const told = packCostOf([line(2.4 * EUR, 2.4 * EUR)], listed, pricing, 'EUR');
  assert.deepEqual(told.listed, { retail: at, wholesale: null });
  assert.equal(packCostOf([line(2.4 * EUR, null)], listed, pricing, 'EUR').listed.retail, null);
});

test('what is paid is tax, fee, cost and what is earned; it is payable, ends as wanted, and keeps the margin', () => {
  const fraction = fc.double({ min: 0, max: 0.4, noNaN: true });
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 1e7, noNaN: true }),
      fraction,
      fraction,
      fraction,
      fc.constantFrom(...PRICE_ENDINGS),
      (costMinor, margin, fee, tax, ending) => {
        const rules = { ...USUAL_PRICING, margin, fee, tax, ending };
        const told = pricesOf(costMinor, 12, rules, 'EUR');
        if (!told) return assert.ok(1 - margin - fee * (1 + tax) <= 1e-9);
        const { grossMinor, taxMinor, feeMinor, earnedMinor, margin: kept } = told.retail;
        assert.ok(Math.abs(grossMinor - taxMinor - feeMinor - costMinor - earnedMinor) < 1e-6 * grossMinor);
        assert.equal(Math.round(grossMinor) % 100, 0);
        assert.ok(kept >= margin - 1e-9);
        const cents = Math.round(grossMinor / 100) % 100;
        const ends = {
          none: [cents],
          half: [0, 50],
          ninety: [90],
          'ninety-five': [95],
          'ninety-nine': [99],
          whole: [0],
        };
        assert.ok(ends[ending].includes(cents));
        const paidMinor = grossMinor - taxMinor - feeMinor;
        assert.ok((told.breakEven ?? 0) * paidMinor >= 12 * costMinor * (1 - 1e-6));
        assert.ok(((told.breakEven ?? 1) - 1) * paidMinor < 12 * costMinor);
      },
    ),
  );
});
