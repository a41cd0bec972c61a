import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { fragrance, isClose, planFile, sheetOf } from '../../../tests/support/planFiles';
import { buyList, piecesFromShelf } from './fromShelf';
import { goodTo, type Lot, lotStock, minorPerOne } from './lot';
import { needOf } from './need';
import { firstExpiredFirst, type LotStock, leftOf, takeFromLots } from './stock';

const lot = (id: string, left: number, bestBefore: string | null): LotStock => ({
  id,
  number: id,
  left,
  bestBefore,
  minorPerOne: null,
});

test('the chosen lot gives first, then the first to expire, one without a date last', () => {
  const lots = [lot('none', 50, null), lot('late', 30, '2027-01-01'), lot('soon', 10, '2026-02-01')];
  assert.deepEqual(
    firstExpiredFirst(lots).map(({ id }) => id),
    ['soon', 'late', 'none'],
  );
  assert.deepEqual(takeFromLots(lots, 25).takings, [
    { lotId: 'soon', amount: 10 },
    { lotId: 'late', amount: 15 },
  ]);
  assert.deepEqual(takeFromLots(lots, 55, 'none').takings, [
    { lotId: 'none', amount: 50 },
    { lotId: 'soon', amount: 5 },
  ]);
});

test('what no lot has by the book was there all the same', () => {
  const { takings, beyondBook } = takeFromLots([lot('one', 4, null)], 7);
  assert.deepEqual(takings, [{ lotId: 'one', amount: 7 }]);
  assert.deepEqual(beyondBook, { lotId: 'one', amount: 3 });
  assert.deepEqual(takeFromLots([lot('empty', 0, null)], 2).beyondBook, { lotId: 'empty', amount: 2 });
  assert.deepEqual(takeFromLots([], 2), { takings: [], beyondBook: null });
});

test('takings add up to the use, and no lot gives more than it has and what was found', () => {
  const lots = fc.array(
    fc.record({
      left: fc.integer({ min: 0, max: 500 }),
      bestBefore: fc.constantFrom(null, '2026-01-01', '2027-01-01'),
    }),
    { minLength: 1, maxLength: 6 },
  );
  fc.assert(
    fc.property(lots, fc.integer({ min: 1, max: 900 }), fc.nat(7), (all, amount, place) => {
      const stock = all.map(({ left, bestBefore }, index) => lot(String(index), left, bestBefore));
      const { takings, beyondBook } = takeFromLots(stock, amount, String(place));
      assert.ok(
        isClose(
          takings.reduce((sum, taking) => sum + taking.amount, 0),
          amount,
        ),
      );
      for (const { lotId, amount: taken } of takings) {
        const found = beyondBook?.lotId === lotId ? beyondBook.amount : 0;
        assert.ok(taken <= (stock[Number(lotId)]?.left ?? 0) + found + 1e-9);
      }
      assert.ok(isClose(beyondBook?.amount ?? 0, Math.max(0, amount - leftOf(stock)), 1e-9) || !beyondBook);
    }),
  );
});

test('how many pieces the shelf makes, and what to buy for several plans', () => {
  const sheet = sheetOf(planFile([{ doses: [[fragrance(), '2 %']] }]));
  const baseG = sheet.totals.baseG / 6;
  const stock = new Map([
    ['base-1', [lot('b', baseG * 10.5, null)]],
    ['scent-1', [lot('s', baseG * 0.02 * 7, null)]],
  ]);
  const fromShelf = piecesFromShelf(sheet, stock);
  assert.deepEqual([fromShelf.pieces, fromShelf.shortOf, fromShelf.notCounted], [7, 'Test scent', []]);
  assert.ok(isClose(fromShelf.batches, 7 / 6));
  const nothing = piecesFromShelf(sheet, new Map());
  assert.deepEqual([nothing.pieces, nothing.notCounted.length], [Number.POSITIVE_INFINITY, 2]);
  const list = buyList([...needOf(sheet), ...needOf(sheet)], stock);
  assert.deepEqual(
    list.map(({ name }) => name),
    ['Test base', 'Test scent'],
  );
  assert.ok(isClose(list[0]?.buy ?? 0, baseG * 1.5));
  assert.ok(isClose(buyList(needOf(sheet), new Map())[0]?.buy ?? 0, sheet.totals.baseG));
});

test('a lot is good to its date, or so many months after it was opened, whichever is first', () => {
  const bottle: Lot = {
    ...{ id: 'l', item: { kind: 'material', id: 'm' }, number: 'B-1', boughtOn: '2026-01-05', price: null },
    ...{ discountFraction: 0, amount: 500, bestBefore: '2027-06-30', openedOn: null, note: '' },
  };
  assert.equal(goodTo(bottle), '2027-06-30');
  assert.equal(goodTo({ ...bottle, openedMonths: 6 }), '2027-06-30');
  assert.equal(goodTo({ ...bottle, openedOn: '2026-08-31' }), '2027-06-30');
  // The last day of a month that is shorter.
  const opened = { ...bottle, openedOn: '2026-08-31', openedMonths: 6 };
  assert.equal(goodTo(opened), '2027-02-28');
  assert.equal(goodTo({ ...opened, openedMonths: 24 }), '2027-06-30');
  assert.equal(goodTo({ ...opened, bestBefore: null, openedMonths: 24 }), '2028-08-31');
  assert.equal(lotStock(opened, 20).bestBefore, '2027-02-28');
});

test('a discount lowers the cost of a gram', () => {
  const facts = {
    id: 'l',
    item: { kind: 'material' as const, id: 'm' },
    number: '1',
    boughtOn: '2026-01-01',
    bestBefore: null,
    openedOn: null,
    note: '',
  };
  assert.ok(
    isClose(
      minorPerOne({ ...facts, price: '80', discountFraction: 0.1, amount: 11500 }) ?? 0,
      720_000 / 11500,
    ),
  );
  // 80 less a tenth, and 6 of postage, for 11.5 kg.
  const sent = { ...facts, price: '80', discountFraction: 0.1, postage: '6', amount: 11500 };
  assert.ok(isClose(minorPerOne(sent) ?? 0, 780_000 / 11500));
  assert.equal(minorPerOne({ ...sent, price: null }), null);
  assert.equal(minorPerOne({ ...facts, price: null, discountFraction: 0, amount: 1 }), null);
});
