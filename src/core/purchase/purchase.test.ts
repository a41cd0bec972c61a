import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import type { Lot } from '../stock/lot';
import { moneyOf } from '../units/money';
import { type Purchase, postageOfLots, purchaseState } from './purchase';

const purchase = (lines: [string, number, string | null][], postage: string | null): Purchase => ({
  ...{ id: 'p', name: 'Quay Supplies', orderedOn: '2026-03-01', postage, note: '' },
  lines: lines.map(([materialId, amount, price]) => ({ materialId, amount, price })),
});
const came = (id: string, materialId: string, amount: number): Lot => ({
  ...{ id, item: { kind: 'material', id: materialId }, number: id, boughtOn: '2026-03-05', amount },
  ...{ price: null, discountFraction: 0, bestBefore: null, openedOn: null, note: '' },
});

test('postage is shared out by price, over the lots as they came', () => {
  const two = purchase(
    [
      ['base', 1000, '30'],
      ['scent', 100, '10'],
    ],
    '4.99',
  );
  const lots = [came('b1', 'base', 400), came('s1', 'scent', 100), came('b2', 'base', 600)];
  // By hand: 4.99 at 3 : 1 is 3.74 and 1.25; of 3.74 four tenths are 1.49 (1.496), the rest 2.25.
  assert.deepEqual(
    [...postageOfLots(two, lots, 'EUR')].map(([id, minor]) => [id, moneyOf(minor)]),
    [
      ['b1', '1.49'],
      ['b2', '2.25'],
      ['s1', '1.25'],
    ],
  );
  assert.deepEqual(
    [0, 1, 2, 3].map((count) => purchaseState(two, lots.slice(0, count))),
    ['ordered', 'partly-received', 'partly-received', 'received'],
  );
  assert.equal(purchaseState({ ...two, orderedOn: null }, []), 'list');
  // A price that is not known is not nothing: each line carries the same.
  const unknown = purchase(
    [
      ['base', 1000, null],
      ['scent', 100, '10'],
    ],
    '5',
  );
  assert.deepEqual([...postageOfLots(unknown, lots.slice(1), 'EUR').values()].map(moneyOf), ['1.5', '2.5']);
});

test('whatever is bought and however it comes, the lots carry the postage to the cent', () => {
  const line = fc.record({
    price: fc.option(fc.integer({ min: 0, max: 99_999 })),
    parts: fc.array(fc.integer({ min: 1, max: 5000 }), { minLength: 1, maxLength: 4 }),
  });
  fc.assert(
    fc.property(
      fc.array(line, { minLength: 1, maxLength: 8 }),
      fc.integer({ min: 0, max: 99_999 }),
      fc.constantFrom('EUR', 'JPY', 'KWD'),
      (lines, postage, currency) => {
        const minor = postage * (currency === 'JPY' ? 10_000 : 100);
        const asked = purchase(
          lines.map(({ price, parts }, place) => [
            `m${place}`,
            parts.reduce((sum, part) => sum + part, 0),
            price === null ? null : moneyOf(price * 100),
          ]),
          moneyOf(minor),
        );
        const lots = lines.flatMap(({ parts }, place) =>
          parts.map((part, which) => came(`${place}-${which}`, `m${place}`, part)),
        );
        const shares = [...postageOfLots(asked, lots, currency).values()];
        assert.equal(
          shares.reduce((sum, each) => sum + each, 0),
          minor,
        );
        assert.ok(shares.every((share) => share >= 0));
      },
    ),
  );
});
