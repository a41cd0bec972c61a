import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { GOODS_USES, type StockEntry, sumOfEntries } from '../stock/stock';
import {
  actsOf,
  backOf,
  becameOf,
  type GoodsEdit,
  goodsChanges,
  packsByPlace,
  packsOf,
  takenBack,
  takingsOf,
} from './goods';
import { goodsEditSchema } from './goodsSchema';
import { firstOut, mostPacks } from './goodsView';

/** Packs of one lot, act by act. */
function packed(packs: number) {
  const entries: StockEntry[] = [];
  let place = 0;
  const add = (
    changes: readonly Pick<StockEntry, 'kind' | 'change' | 'standsAt' | 'paid'>[],
    actId: string,
  ) => {
    for (const change of changes)
      entries.push({
        ...{ id: String(place++), lotId: 'lot', at: '2026-03-01T10:00:00.000Z', note: '' },
        ...{ owner: { kind: 'act', id: actId }, ...change },
      });
  };
  add([{ kind: 'made', change: packs }], 'made');
  return {
    entries,
    act(edit: GoodsEdit, actId = `act ${place}`) {
      const changes = goodsChanges(edit, entries);
      if (changes.success) add(changes.data, actId);
      return changes.success ? null : changes.error;
    },
    back(actId: string) {
      const own = entries.filter(({ owner }) => owner?.id === actId);
      const changes = takenBack(own, entries);
      if (changes.success) add(changes.data, backOf(actId));
      return changes.success ? null : changes.error;
    },
  };
}

const note = '';
const sold = (packs: number, place: string | null = null): GoodsEdit => ({
  kind: 'sold',
  packs,
  place,
  note,
});
const moved = (packs: number, from: string | null, to: string | null): GoodsEdit => ({
  ...{ kind: 'moved', packs, from, to, note },
});

test('packs go to a market box, are sold there and come back, and each place keeps its count', () => {
  const { entries, act } = packed(12);
  assert.equal(act(moved(6, null, 'Box')), null);
  assert.equal(act(sold(4, 'Box')), null);
  assert.deepEqual(act(sold(3, 'Box')), { code: 'fewer-there', place: 'Box', packs: 2 });
  assert.deepEqual(act(moved(1, 'Box', 'Box')), { code: 'same-place' });
  assert.deepEqual(act({ kind: 'returned', packs: 5, place: null, note }), { code: 'fewer-gone', packs: 4 });
  assert.equal(act({ kind: 'returned', packs: 1, place: null, note }), null);
  assert.deepEqual(packsByPlace(entries), [
    { place: null, packs: 7 },
    { place: 'Box', packs: 2 },
  ]);
  assert.deepEqual(becameOf(entries), [
    { kind: 'made', packs: 12 },
    { kind: 'sold', packs: 4 },
    { kind: 'returned', packs: 1 },
  ]);
});

test('what packs were sold for adds up, without what came back or was taken back', () => {
  const { entries, act, back } = packed(12);
  const EUR = 10_000;
  assert.deepEqual(takingsOf(entries), { minor: 0, packs: 0, unpriced: 0 });
  act({ kind: 'sold', packs: 4, place: null, note, paid: '30' });
  act({ kind: 'sold', packs: 1, place: null, note, paid: '6.75' }, 'a mistake');
  act(sold(2));
  assert.deepEqual(takingsOf(entries), { minor: 36.75 * EUR, packs: 7, unpriced: 2 });
  assert.equal(back('a mistake'), null);
  assert.deepEqual(takingsOf(entries), { minor: 30 * EUR, packs: 6, unpriced: 2 });
  act({ kind: 'returned', packs: 1, place: null, note, paid: '7.5' });
  assert.deepEqual(takingsOf(entries), { minor: 22.5 * EUR, packs: 6, unpriced: 2 });
});

test('what became of packs is taken back once, unless they are elsewhere or came back since', () => {
  const { entries, act, back } = packed(5);
  act(moved(5, null, 'Box'), 'to the box');
  act(sold(2, 'Box'), 'a sale');
  assert.deepEqual(back('to the box'), { code: 'fewer-there', place: 'Box', packs: 3 });
  act({ kind: 'returned', packs: 1, place: null, note }, 'one back');
  assert.deepEqual(back('a sale'), { code: 'came-back' });
  assert.equal(back('one back'), null);
  assert.equal(back('a sale'), null);
  assert.equal(back('to the box'), null);
  assert.deepEqual(packsByPlace(entries), [{ place: null, packs: 5 }]);
  assert.deepEqual(
    actsOf(entries).map(({ id, isOpen }) => [id, isOpen]),
    [
      ['made', true],
      ...['to the box', 'a sale', 'one back', 'back one back', 'back a sale', 'back to the box'].map((id) => [
        id,
        false,
      ]),
    ],
  );
});

test('whatever is said, no place holds less than nothing, no pack is lost, and all of it can be taken back', () => {
  const place = fc.constantFrom(null, 'Box', 'Shop');
  const packs = fc.integer({ min: 1, max: 6 });
  const edit: fc.Arbitrary<GoodsEdit> = fc.oneof(
    fc.record({ kind: fc.constantFrom(...GOODS_USES), packs, place, note: fc.constant(note) }),
    fc.record({
      kind: fc.constant('moved' as const),
      packs,
      from: place,
      to: place,
      note: fc.constant(note),
    }),
  );
  fc.assert(
    fc.property(fc.array(edit, { maxLength: 20 }), (edits) => {
      const { entries, act, back } = packed(10);
      for (const each of edits) {
        assert.ok(goodsEditSchema.safeParse(each).success);
        const [before, fault] = [entries.length, act(each)];
        if (fault) assert.equal(entries.length, before);
        const places = packsByPlace(entries);
        assert.ok(places.every((there) => there.packs > 0));
        const out = GOODS_USES.reduce((sum, kind) => sum + packsOf(entries, kind), 0);
        assert.equal(sumOfEntries(places.map((there) => ({ change: there.packs }))), 10 + out);
        assert.equal(packsOf(entries, 'moved'), 0);
      }
      for (const { id } of actsOf(entries).toReversed()) if (id !== 'made') assert.equal(back(id), null);
      assert.deepEqual(packsByPlace(entries), [{ place: null, packs: 10 }]);
    }),
  );
});

test('a pack takes its pieces of the oldest batch that fills it, and of two plans as many as both give', () => {
  const run = (id: string, free: number) => ({
    id,
    code: null,
    finishedAt: '2026-03-01T10:00:00.000Z',
    free,
  });
  const part = {
    planId: 'p',
    planName: 'P',
    pieces: 3,
    runs: [run('new', 9), run('older', 7), run('empty', 2)],
  };
  const other = { planId: 'q', planName: 'Q', pieces: 1, runs: [run('only', 1)] };
  assert.equal(firstOut(part), 'older');
  assert.equal(firstOut({ ...part, runs: [run('empty', 2)] }), null);
  assert.equal(mostPacks([{ part, runId: 'older' }]), 2);
  assert.equal(
    mostPacks([
      { part, runId: 'older' },
      { part: other, runId: 'only' },
    ]),
    1,
  );
  assert.equal(mostPacks([{ part, runId: 'elsewhere' }]), 0);
});
