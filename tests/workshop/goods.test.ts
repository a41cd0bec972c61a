import assert from 'node:assert/strict';
import test from 'node:test';
import { takingsOf } from '../../src/core/goods/goods';
import { newProduct } from '../../src/core/product/newProduct';
import { recallCsv, stockCsv } from '../../src/formats/recordCsv';
import { editGoods, goodsByPlace, goodsOf, pack, packsInStock, takeGoodsBack } from '../../src/server/goods';
import { createPlan } from '../../src/server/plans';
import { RECORD_KINDS } from '../../src/server/recordKinds';
import { recordEvent } from '../../src/server/runs';
import { shelfTable } from '../../src/server/shelfCsv';
import { addLot, editStock } from '../../src/server/stock';
import { traceOfLot, traceOfRun } from '../../src/server/trace';
import { takingsWords } from '../../src/words/en/goods/goodsWords';
import { BOX, fragrance, planFile } from '../support/planFiles';
import { makeInWorkshop } from '../support/runs';
import { problemFrom, workshopWith } from '../support/workshops';

const SIZE = { widthMm: 60, heightMm: 40 };
const note = '';

/** A set of a piece of each of two plans, in a box of packaging that is on the shelf. */
async function setOfTwo() {
  const { workshop, stored } = workshopWith(planFile([{ doses: [[fragrance(), '2 %']] }], {}, BOX));
  const other = createPlan(workshop, { ...stored.plan, name: 'Other plan' });
  const box = {
    kind: 'packaging' as const,
    id: 'box',
    name: 'Gift box',
    note,
    lowStock: null,
    archived: false,
  };
  workshop.materials.insert(box, workshop.now());
  const lotOf = (id: string, number: string, amount: number) =>
    addLot(workshop, {
      ...{ item: { kind: 'material', id }, number, boughtOn: '2026-01-05', price: '10', discountFraction: 0 },
      ...{ amount, bestBefore: null, openedOn: null, note },
    }).item;
  const boxes = lotOf('box', 'Boxes', 5);
  const scent = lotOf('scent-1', 'F-7', 500);
  const product = {
    ...newProduct({ id: stored.id, name: 'Pair' }, 'eu-cosmetic', SIZE),
    ...{ id: 'pair', form: 'set' as const },
    parts: [
      { planId: stored.id, pieces: 1 },
      { planId: other.id, pieces: 2 },
    ],
    packaging: [{ materialId: 'box', count: 1 }],
  };
  workshop.products.insert(product, workshop.now());
  const first = await makeInWorkshop(workshop, stored.id);
  const second = await makeInWorkshop(workshop, other.id);
  const packs = (count: number, lotId: string = crypto.randomUUID()) =>
    pack(workshop, 'pair', {
      ...{ lotId, packs: count, runIds: [first.id, second.id], packedOn: '2026-01-09' },
    });
  return { workshop, boxes, scent, first, second, packs };
}

test('a set is packed of two batches: its pieces, its box and its date, and no more than there is', async () => {
  const { workshop, boxes, first, second, packs } = await setOfTwo();
  assert.deepEqual(
    goodsOf(workshop, 'pair').parts.map(({ runs }) => runs.map(({ free }) => free)),
    [[6], [6]],
  );
  const lotId = crypto.randomUUID();
  packs(2, lotId);
  const { lots, parts } = packs(2, lotId);
  assert.deepEqual(
    lots.map(({ lot, places }) => [lot.number, lot.amount, lot.bestBefore, places]),
    // Two codes, and the end of the month a year after the day it was made.
    [[`${first.code} + ${second.code}`, 2, '2027-01-31', [{ place: null, packs: 2 }]]],
  );
  assert.deepEqual(
    parts.map(({ runs }) => runs[0]?.free),
    [4, 2],
  );
  const left = () => workshop.lots.stockOf('box').map((lot) => lot.left);
  assert.deepEqual(left(), [3]);
  assert.match(problemFrom(() => packs(2)).detail, /takes 4 pieces of batch .*, which has 2/);
  assert.deepEqual(left(), [3]);
  // What is in packs stays there where their lot can’t be read.
  const put = (field: string) => workshop.db.exec(`UPDATE lots SET record = ${field} WHERE id = '${lotId}'`);
  put("json_set(record, '$.amount', 'many')");
  assert.equal(workshop.lots.broken().length, 1);
  assert.deepEqual(
    goodsOf(workshop, 'pair').parts.map(({ runs }) => runs[0]?.free),
    [4, 2],
  );
  put("json_set(record, '$.amount', 2)");
  const elsewhere = { lotId: crypto.randomUUID(), packs: 1, runIds: [first.id], packedOn: '2026-01-09' };
  assert.equal(problemFrom(() => pack(workshop, 'pair', elsewhere)).code, 'invalid-field');
  assert.equal(problemFrom(() => pack(workshop, 'other', elsewhere)).status, 404);
  assert.equal(problemFrom(() => packs(1, boxes.id)).code, 'id-taken');
  assert.equal(problemFrom(() => RECORD_KINDS.product.remove?.(workshop, 'pair')).code, 'was-packed');
  // Finished goods are no lots of the shelf.
  assert.doesNotMatch(shelfTable(workshop, 'lots', { decimal: '.', delimiter: ',' }), /Pair/);
  assert.match(shelfTable(workshop, 'stock', { decimal: '.', delimiter: ',' }), /Pair,.*,Packed,2,/);
  const entry = { kind: 'correction' as const, change: 1, note };
  assert.equal(problemFrom(() => editStock(workshop, lotId, crypto.randomUUID(), entry)).status, 422);
  // A box is traced to the batches that are in it, and back.
  const packedIn = async () =>
    (await traceOfLot(workshop, boxes.id)).batches.map(({ runId, amount }) => [runId, amount]);
  const boxesOf = () => traceOfRun(workshop, second.id).filter((source) => source.lotId === boxes.id);
  assert.deepEqual(await packedIn(), [
    [first.id, 2],
    [second.id, 2],
  ]);
  assert.deepEqual(
    boxesOf().map(({ amount }) => amount),
    [2],
  );
  // Taken back, its pieces and its boxes are there again.
  const after = takeGoodsBack(workshop, lotId, lotId);
  takeGoodsBack(workshop, lotId, lotId);
  assert.deepEqual([left(), after.parts[0]?.runs[0]?.free], [[5], 6]);
  assert.deepEqual(packsInStock(workshop).get('pair'), []);
  assert.deepEqual([await packedIn(), boxesOf()], [[], []]);
  assert.equal(problemFrom(() => takeGoodsBack(workshop, lotId, `back ${lotId}`)).status, 404);
});

test('what became of packs is told by place and batch, once, also in a recall', async () => {
  const { workshop, scent, first, packs } = await setOfTwo();
  const lotId = crypto.randomUUID();
  packs(3, lotId);
  const act = crypto.randomUUID();
  const move = { kind: 'moved' as const, packs: 2, from: null, to: 'Box A', note };
  editGoods(workshop, lotId, crypto.randomUUID(), move);
  for (let sent = 0; sent < 2; sent++)
    editGoods(workshop, lotId, act, {
      ...{ kind: 'sold', packs: 1, place: 'Box A', note: 'the morning', paid: '7.25' },
    });
  const { entries = [] } = goodsOf(workshop, 'pair').lots[0] ?? {};
  assert.deepEqual(takingsOf(entries), { minor: 72_500, packs: 1, unpriced: 0 });
  assert.equal(takingsWords([takingsOf(entries)], 'EUR', 'en-GB'), '1 pack sold for €7.25.');
  assert.match(
    stockCsv(workshop.lots.everyEntry(), [], [], { decimal: ',', delimiter: ';' }),
    /;Sold;'-1;;Box A;7,25;the morning/,
  );
  const given = { kind: 'given' as const, packs: 1, place: null, note };
  assert.equal(problemFrom(() => editGoods(workshop, lotId, act, given)).code, 'id-taken');
  assert.equal(
    problemFrom(() => editGoods(workshop, lotId, crypto.randomUUID(), { ...given, packs: 2 })).detail,
    'Only 1 pack is in the workshop.',
  );
  assert.equal(problemFrom(() => takeGoodsBack(workshop, lotId, crypto.randomUUID())).status, 404);
  assert.equal(problemFrom(() => takeGoodsBack(workshop, lotId, lotId)).code, 'fewer-there');
  assert.deepEqual(
    goodsByPlace(workshop).map(({ place, of }) => [place, of.map((each) => [each.product, each.packs])]),
    [
      [null, [['Pair', 1]]],
      ['Box A', [['Pair', 1]]],
    ],
  );
  const { batches } = await traceOfLot(workshop, scent.id);
  const csv = recallCsv(batches, { decimal: '.', delimiter: ';' });
  assert.match(csv, /Pair: 3 packed, 1 sold; 1 in the workshop and 1 at Box A/);
  // Pieces that went elsewhere can't be packed any more.
  recordEvent(workshop, first.id, crypto.randomUUID(), {
    ...{ kind: 'set-aside', asideId: crypto.randomUUID(), of: 'pieces', round: 0, pourIndexes: [] },
    ...{ massG: 200, pieces: 2, to: { is: 'sample', place: 'shelf 2' } },
  });
  assert.equal(goodsOf(workshop, 'pair').parts[0]?.runs[0]?.free, 1);
  // One lot that can't be read costs itself only.
  const broken = `json_set(record, '$.madeOf', json('["x"]'))`;
  workshop.db.prepare(`UPDATE lots SET record = ${broken} WHERE id = ?`).run(lotId);
  assert.deepEqual(goodsOf(workshop, 'pair').lots, []);
  assert.deepEqual(goodsByPlace(workshop), []);
});
