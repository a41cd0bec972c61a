import assert from 'node:assert/strict';
import test from 'node:test';
import type { Purchase } from '../../src/core/purchase/purchase';
import { moneyOf } from '../../src/core/units/money';
import { deleteMaterial } from '../../src/server/materials';
import { lotsOfPurchase, receive } from '../../src/server/purchases';
import { checked, RECORD_KINDS } from '../../src/server/recordKinds';
import { saveRecord } from '../../src/server/records';
import { takeBack } from '../../src/server/recordVersions';
import { findLot, lotsOf, saveLot } from '../../src/server/stock';
import { BOX, fragrance, planFile } from '../support/planFiles';
import { makeInWorkshop } from '../support/runs';
import { problemFrom, workshopWith } from '../support/workshops';

const file = planFile([{ doses: [[fragrance(), '2 %']] }], {}, BOX);

function ordered() {
  const { workshop, stored } = workshopWith(file);
  const item: Purchase = {
    ...{ id: 'order', name: 'Quay Supplies', orderedOn: '2026-03-01', postage: '6', note: '' },
    lines: [
      { materialId: 'base-1', amount: 2000, price: '20' },
      { materialId: 'scent-1', amount: 100, price: '10' },
    ],
  };
  workshop.purchases.insert(item, workshop.now());
  const came = (over: Partial<Parameters<typeof receive>[2]> = {}) =>
    receive(workshop, 'order', {
      ...{ lotId: crypto.randomUUID(), materialId: 'base-1', receivedOn: '2026-03-05', number: 'B-1' },
      ...{ amount: 2000, price: '20', bestBefore: null, heldFor: null, ...over },
    });
  const save = (next: Purchase) =>
    checked(workshop, RECORD_KINDS.purchase.check, () => {
      const revision = workshop.purchases.find('order')?.revision ?? 0;
      saveRecord(workshop.purchases, 'purchase', next, revision, workshop.now(), (before, after) =>
        RECORD_KINDS.purchase.allow?.(workshop, before, after),
      );
      RECORD_KINDS.purchase.follow?.(workshop, next);
    });
  return { workshop, stored, item, came, save };
}

test('what was ordered comes in parts, each a lot with its share of the postage; sent twice it came once', () => {
  const { workshop, item, came, save } = ordered();
  const half = crypto.randomUUID();
  came({ lotId: half, amount: 1000, price: '10' });
  came({ lotId: half, amount: 1000, price: '10' });
  came({ number: 'B-2', amount: 1000, price: '10', receivedOn: '2026-03-09' });
  // 6 at 2 : 1 is 4 for the base, 2 a half.
  assert.deepEqual(
    lotsOf(workshop, 'base-1').map(({ item: lot, left, entries }) => [
      ...[lot.number, left, lot.postage, lot.boughtOn],
      entries[0]?.owner,
    ]),
    [
      ['B-1', 1000, '2', '2026-03-05', { kind: 'purchase', id: 'order' }],
      ['B-2', 1000, '2', '2026-03-09', { kind: 'purchase', id: 'order' }],
    ],
  );
  // 12 for 1000 g: 10 and its 2 of the postage.
  assert.equal(moneyOf(Math.round((workshop.lots.stockOf('base-1')[0]?.minorPerOne ?? 0) * 1000)), '12');
  const postages = () => lotsOfPurchase(workshop, 'order').map(({ postage }) => postage);
  // The postage is put right once its bill has come, and taken back as it was.
  save({ ...item, postage: '9' });
  assert.deepEqual(postages(), ['3', '3']);
  takeBack(workshop, 'purchase', 'order', 1, 2);
  assert.deepEqual(postages(), ['2', '2']);
  // What is refused changes no lot either.
  const unknown = { materialId: 'other', amount: 1, price: '1' };
  const refused = problemFrom(() => save({ ...item, postage: '9', lines: [...item.lines, unknown] }));
  assert.equal(refused.status, 422);
  assert.deepEqual(postages(), ['2', '2']);
  assert.equal(problemFrom(() => save({ ...item, lines: item.lines.slice(1) })).code, 'invalid-field');
  assert.equal(problemFrom(() => RECORD_KINDS.purchase.remove?.(workshop, 'order')).code, 'has-come');
  assert.equal(problemFrom(() => came({ materialId: 'other' })).status, 422);
  assert.equal(problemFrom(() => deleteMaterial(workshop, 'scent-1')).code, 'in-use');
  save({ ...item, postage: null });
  assert.deepEqual(postages(), [undefined, undefined]);
});

test('a lot that is put aside is used by nothing before it is released, and last where it is all there is', async () => {
  const { workshop, stored, came } = ordered();
  const [held] = came({ heldFor: 'its certificate' });
  assert.ok(held);
  const free = came({ number: 'B-2', bestBefore: '2029-01-01' })[1];
  assert.ok(free);
  const first = await makeInWorkshop(workshop, stored.id);
  const tookFrom = (runId: string) => workshop.lots.entriesOfRun(runId).map(({ lotId }) => lotId);
  assert.deepEqual(tookFrom(first.id), [free.id]);
  const { item, revision, left } = findLot(workshop, held.id);
  assert.equal(left, 2000);
  const { heldFor, ...released } = item;
  assert.equal(heldFor, 'its certificate');
  // Its date is the first to come, once it may be used.
  saveLot(workshop, { ...released, bestBefore: '2028-01-01' }, revision);
  assert.deepEqual(tookFrom((await makeInWorkshop(workshop, stored.id)).id), [held.id]);
});
