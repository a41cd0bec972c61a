import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { BOX, fragrance, isClose, planFile, sheetOf } from '../../../tests/support/planFiles';
import { atBench, doNext, MIN } from '../../../tests/support/scriptedMaker';
import { needOf } from '../stock/need';
import type { LotStock } from '../stock/stock';
import { certainMinor } from './bounds';
import { type CostLine, costOf, houseLines, partOf, plannedLines, pricesMissing } from './cost';
import { differenceOf } from './difference';
import { plannedHandsS, realHandsS } from './handsTime';
import { meanPerOne, pricePerOne } from './lotPrices';
import { sharesOf } from './shares';

const lot = (
  id: string,
  left: number,
  minorPerOne: number | null,
  bestBefore: string | null = null,
): LotStock => ({
  ...{ id, number: id, left, minorPerOne, bestBefore },
});
const line = (part: CostLine['part'], id: string, amount: number, minor: number): CostLine => ({
  ...{ part, id, name: id, amount, isCounted: false, cost: { leastMinor: minor, mostMinor: minor } },
});

test('shares add up to the cent, and none is a step off its exact part', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 10_000_000 }),
      fc.array(fc.integer({ min: 0, max: 100_000 }), { minLength: 1, maxLength: 30 }),
      fc.constantFrom(0, 2, 3),
      (steps, weights, decimals) => {
        fc.pre(weights.some((weight) => weight > 0));
        const step = 10 ** (4 - decimals);
        const shares = sharesOf(steps * step, weights, decimals);
        assert.equal(
          shares.reduce((sum, each) => sum + each, 0),
          steps * step,
        );
        const all = BigInt(weights.reduce((sum, each) => sum + each, 0));
        shares.forEach((share, place) => {
          // Exactly: |share · Σw − amount · w| < step · Σw, in whole numbers.
          const off = BigInt(share) * all - BigInt(steps * step) * BigInt(weights[place] ?? 0);
          assert.ok((off < 0n ? -off : off) < BigInt(step) * all);
          assert.equal(share % step, 0);
        });
      },
    ),
  );
  assert.deepEqual(sharesOf(10_000, [1, 1, 1], 2), [3400, 3300, 3300]);
  assert.deepEqual(sharesOf(50_000, [1, 1], 0), [30_000, 20_000], 'a currency without cents');
  assert.throws(() => sharesOf(1, [0, 0], 2), RangeError);
});

test('a lot without a price lies between others of its material, and the shelf has the mean of what is left', () => {
  const lots = [lot('a', 100, 20), lot('b', 300, 40), lot('c', 50, null), lot('d', 0, 900)];
  assert.deepEqual(pricePerOne('b', lots), { leastMinor: 40, mostMinor: 40 });
  assert.deepEqual(pricePerOne('c', lots), { leastMinor: 20, mostMinor: 900 });
  assert.deepEqual(pricePerOne('c', [lot('c', 50, null)]), { leastMinor: 0, mostMinor: null });
  assert.equal(meanPerOne(lots), (100 * 20 + 300 * 40) / 400);
  assert.equal(meanPerOne([lot('d', 0, 900), lot('e', 0, null)]), 900);
  assert.equal(meanPerOne([lot('c', 50, null)]), null);
  assert.equal(meanPerOne([lot('free', 50, 0), lot('paid', 50, 10)]), 5, 'a price of nothing is a price');
});

test('a plan costs what the lots that it takes cost, the first to expire first; what has no price makes it at least so much', () => {
  const sheet = sheetOf(planFile([{ doses: [[fragrance(), '2 %']] }], {}, BOX));
  const scentG = sheet.pours[0]?.lines[0]?.massG ?? 0;
  const stock = new Map([
    ['base-1', [lot('later', 1e5, 10, '2030-01-01'), lot('soon', 100, 4, '2027-01-01')]],
    ['scent-1', [lot('scent', 500, 200)]],
  ]);
  const lines = plannedLines(needOf(sheet), stock, (id) => partOf(sheet, id));
  const cost = costOf(lines, sheet.pieces);
  const byHand = 100 * 4 + (sheet.totals.baseG - 100) * 10 + scentG * 200;
  assert.ok(isClose(certainMinor(cost.total) ?? 0, byHand));
  assert.ok(isClose(cost.perPiece?.leastMinor ?? 0, byHand / 6));
  assert.deepEqual(
    cost.lines.map(({ part, id }) => `${part} ${id}`),
    ['base base-1', 'dose scent-1'],
  );
  const without = costOf(
    plannedLines(needOf(sheet), new Map([['base-1', [lot('b', 1e5, 10)]]]), (id) => partOf(sheet, id)),
    0,
  );
  assert.deepEqual([without.perPiece, without.total.mostMinor], [null, null]);
  assert.ok(isClose(without.total.leastMinor, sheet.totals.baseG * 10));
  assert.deepEqual(pricesMissing(without), ['Test scent']);
  const rules = { handsPerHour: '18', fixedPerMonth: '240', batchesPerMonth: 8 };
  assert.deepEqual(
    houseLines(rules, 1800).map(({ part, cost: { leastMinor } }) => [part, leastMinor]),
    [
      ['hands', 90_000],
      ['fixed', 300_000],
    ],
  );
  assert.deepEqual(houseLines({ ...rules, handsPerHour: null, fixedPerMonth: null }, 1800), []);
});

test('the causes of a difference add up to it: amount, price, and pieces that carry it', () => {
  const amount = fc.double({ min: 0.1, max: 5000, noNaN: true });
  const one = fc.record({ was: amount, is: amount, wasEach: amount, isEach: amount });
  fc.assert(
    fc.property(
      fc.array(one, { minLength: 1, maxLength: 8 }),
      fc.integer({ min: 1, max: 200 }),
      fc.integer({ min: 1, max: 200 }),
      (all, pieces, good) => {
        const planned = costOf(
          all.map(({ was, wasEach }, n) => line('dose', `${n}`, was, was * wasEach)),
          pieces,
        );
        const real = costOf(
          all.map(({ is, isEach }, n) => line('dose', `${n}`, is, is * isEach)),
          good,
        );
        const told = differenceOf(planned, real);
        assert.ok(told);
        const changed = told.changes.reduce((sum, each) => sum + each.byAmountMinor + each.byPriceMinor, 0);
        const size = Math.max(real.total.leastMinor, planned.total.leastMinor);
        assert.ok(Math.abs(changed - (real.total.leastMinor - planned.total.leastMinor)) <= 1e-9 * size + 8);
        assert.ok(Math.abs(told.byCostMinor + told.byPiecesMinor - told.perPieceMinor) <= 1e-9 * size + 1e-9);
      },
    ),
  );
  const planned = costOf([line('base', 'base', 100, 1000)], 10);
  const real = costOf([line('base', 'base', 110, 1650), line('passed-on', 'jar', 10, -150)], 8);
  const told = differenceOf(planned, real);
  // By hand: 110 g at 15 are 650 more: 10 g more at 15, and 5 more for each of 100.
  const [base, jar] = told?.changes ?? [];
  assert.deepEqual([base?.byAmountMinor, base?.byPriceMinor], [150, 500]);
  assert.deepEqual([jar?.byAmountMinor, jar?.byPriceMinor], [-150, 0]);
  assert.deepEqual([told?.byCostMinor, told?.perPieceMinor, told?.byPiecesMinor], [50, 87.5, 37.5]);
  assert.equal(differenceOf(planned, costOf([], 0)), null);
});

test('hands took from tick to tick, and a telephone is no work', () => {
  const bench = atBench(sheetOf(planFile([{}], {}, BOX)));
  const began = bench.now();
  const planned = plannedHandsS(bench.so().tasks);
  assert.ok(planned > 60);
  doNext(bench);
  const [first] = bench.so().tasks.filter(({ doneAt }) => doneAt !== null);
  const startedAt = new Date(began).toISOString();
  const firstS = (Date.parse(first?.doneAt ?? '') - began) / 1000;
  assert.equal(realHandsS(bench.so(), startedAt), firstS);
  const next = bench.so().inHand;
  bench.wait(120 * MIN);
  doNext(bench);
  const nextS = next ? next.toS - next.fromS : 0;
  assert.ok(isClose(realHandsS(bench.so(), startedAt), firstS + nextS));
});
