import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { checkEvent } from '../../src/core/run/checkEvent';
import type { RunEvent } from '../../src/core/run/run';
import { usedMaterials } from '../../src/core/run/usedMaterials';
import { leftOf, sumOfEntries } from '../../src/core/stock/stock';
import { databaseProblem } from '../../src/server/databaseProblem';
import { deleteMaterial } from '../../src/server/materials';
import { Problem } from '../../src/server/problem';
import { findRun, recordEvent } from '../../src/server/runs';
import { startRun } from '../../src/server/startRun';
import { addLot, editStock, findLot, lotsOf, saveLot } from '../../src/server/stock';
import { fragrance, isClose, planFile } from '../support/planFiles';
import { makeInWorkshop as make, nextEvent, recorded } from '../support/runs';
import { problemFrom, workshopWith } from '../support/workshops';

const file = planFile([{ doses: [[fragrance(), '2 %']] }]);

function lot(number: string, amount: number, bestBefore: string | null = null, materialId = 'scent-1') {
  return {
    item: { kind: 'material' as const, id: materialId },
    number,
    boughtOn: '2026-01-01',
    price: '10',
    discountFraction: 0,
    amount,
    bestBefore,
    openedOn: null,
    note: '',
  };
}

test('a finished run takes what was weighed, first expired first, and each line says which run', async () => {
  const { workshop, stored } = workshopWith(file);
  const late = addLot(workshop, lot('late', 100, '2028-01-01'));
  const soon = addLot(workshop, lot('soon', 5, '2027-01-01'));
  const run = await make(workshop, stored.id);
  const usedG = run.snapshot.sheet.pours[0]?.lines[0]?.massG ?? 0;
  assert.ok(usedG > 5);
  assert.equal(findLot(workshop, soon.item.id).left, 0);
  assert.ok(isClose(findLot(workshop, late.item.id).left, 105 - usedG));
  assert.deepEqual(
    workshop.lots.entriesOfRun(run.id).map(({ kind, lotId }) => [kind, lotId]),
    [
      ['used', soon.item.id],
      ['used', late.item.id],
    ],
  );
  // The base was never bought here, so the book does not count it.
  assert.deepEqual(lotsOf(workshop, 'base-1'), []);
});

const DOSE = 'r1/A/l1/dose-1';

/** A run at its first dose, the base weighed and melted, and two lots of the fragrance. */
async function atTheDose() {
  const { workshop, stored } = workshopWith(file);
  const late = addLot(workshop, lot('late', 100, '2028-01-01')).item.id;
  const soon = addLot(workshop, lot('soon', 100, '2027-01-01')).item.id;
  const { id } = startRun(workshop, crypto.randomUUID(), stored.id);
  const record = (event: RunEvent) => recordEvent(workshop, id, crypto.randomUUID(), event);
  const left = () => [late, soon].map((each) => Number(findLot(workshop, each).left.toFixed(6)));
  for (let event = nextEvent(findRun(workshop, id)); event; event = nextEvent(findRun(workshop, id))) {
    if ('taskId' in event && event.taskId === DOSE) break;
    record(event);
  }
  return { workshop, id, late, soon, record, left };
}

test('a weighing takes from its lot at once, and what undoes it gives back as an entry', async () => {
  const { workshop, id, late, soon, record, left } = await atTheDose();
  record({ kind: 'weighed', taskId: DOSE, massG: 10, lotId: late });
  assert.deepEqual(left(), [90, 100]);
  record({ kind: 'added', taskId: DOSE, massG: 2, lotId: soon });
  assert.deepEqual(left(), [90, 98]);
  record({ kind: 'undone', taskId: DOSE });
  assert.deepEqual(left(), [90, 100]);
  record({ kind: 'corrected', taskId: DOSE, massG: 11, lotId: soon, note: 'read the wrong label' });
  assert.deepEqual(left(), [100, 89]);
  record({ kind: 'undone', taskId: DOSE });
  assert.deepEqual(left(), [90, 100]);
  record({ kind: 'undone', taskId: DOSE });
  assert.deepEqual(left(), [100, 100]);
  record({ kind: 'weighed', taskId: DOSE, massG: 10 });
  assert.deepEqual(left(), [100, 90]);
  const entries = workshop.lots.entriesOfRun(id);
  assert.ok(entries.some(({ kind }) => kind === 'returned'));
  assert.ok(entries.every(({ owner }) => owner?.taskId === DOSE));
  record({ kind: 'abandoned', note: '', isPutBack: true });
  assert.deepEqual(left(), [100, 100]);
});

test('a lot of another material is refused at the scale, with nothing ticked and nothing taken', async () => {
  const { workshop, id, record, left } = await atTheDose();
  const base = addLot(workshop, lot('block', 5000, null, 'base-1')).item.id;
  const before = findRun(workshop, id).events.length;
  const wrong = problemFrom(() => record({ kind: 'weighed', taskId: DOSE, massG: 10, lotId: base }));
  assert.deepEqual([wrong.status, left(), findRun(workshop, id).events.length], [422, [100, 100], before]);
});

test('what was found beyond the book goes again with the tick that found it', async () => {
  const { record, left } = await atTheDose();
  record({ kind: 'weighed', taskId: DOSE, massG: 230 });
  assert.deepEqual(left(), [0, 0]);
  record({ kind: 'undone', taskId: DOSE });
  assert.deepEqual(left(), [100, 100]);
});

test('a run that was weighed before stock was taken at the scale takes it at its finish, from the lot that is said', async () => {
  const { workshop, id, late, record, left } = await atTheDose();
  const older = (event: RunEvent) => workshop.runs.append(id, crypto.randomUUID(), recorded(event));
  older({ kind: 'weighed', taskId: DOSE, massG: 10 });
  assert.deepEqual(left(), [100, 100]);
  for (let event = nextEvent(findRun(workshop, id)); event; event = nextEvent(findRun(workshop, id)))
    record(event);
  const finish = (materialId: string, lotId: string): RunEvent => ({
    kind: 'finished',
    verdict: 'good',
    goodPieces: 6,
    note: '',
    lots: [{ materialId, lotId }],
  });
  assert.equal(problemFrom(() => record(finish('base-1', late))).status, 422);
  record(finish('scent-1', late));
  assert.deepEqual(left(), [90, 100]);
});

test('whatever is said of a weighing, in any order, the shelf has given what the run has used', async () => {
  const massG = fc.integer({ min: 1, max: 900 }).map((tenths) => tenths / 10);
  const said = fc.record({
    kind: fc.constantFrom('weighed', 'added', 'corrected', 'undone'),
    massG,
    lot: fc.constantFrom('late', 'soon', null),
  });
  await fc.assert(
    fc.asyncProperty(fc.array(said, { maxLength: 14 }), async (all) => {
      const { workshop, id, late, soon, record } = await atTheDose();
      for (const { kind, massG: mass, lot: of } of all) {
        const from = of ? { lotId: of === 'late' ? late : soon } : {};
        const run = findRun(workshop, id);
        const event = (
          kind === 'undone' ? { kind, taskId: DOSE } : { kind, taskId: DOSE, massG: mass, ...from }
        ) as RunEvent;
        if (checkEvent(run, event).success) record(event);
        const used = usedMaterials(findRun(workshop, id)).find(({ materialId }) => materialId === 'scent-1');
        const taken = workshop.lots.takenByRun(id).get('scent-1') ?? 0;
        assert.ok(Math.abs(taken - (used?.amount ?? 0)) < 1e-6, `${taken} taken, ${used?.amount} used`);
        for (const { left } of workshop.lots.stockOf('scent-1')) assert.ok(left > -1e-6);
      }
    }),
    { numRuns: 40 },
  );
});

test('what was there beyond the book is put right by a correction, never below zero', async () => {
  const { workshop, stored } = workshopWith(file);
  const little = addLot(workshop, lot('little', 2));
  await make(workshop, stored.id);
  const { left, entries } = findLot(workshop, little.item.id);
  assert.ok(Math.abs(left) < 1e-9);
  assert.deepEqual(
    entries.map(({ kind }) => kind),
    ['bought', 'correction', 'used'],
  );
});

test('an entry or a finish that is sent twice counts once', async () => {
  const { workshop, stored } = workshopWith(file);
  const { item } = addLot(workshop, lot('one', 100));
  const entry = crypto.randomUUID();
  for (let times = 0; times < 2; times++)
    editStock(workshop, item.id, entry, { kind: 'correction', change: -10, note: 'spilt' });
  assert.equal(findLot(workshop, item.id).left, 90);
  const other = problemFrom(() =>
    editStock(workshop, item.id, entry, { kind: 'correction', change: -11, note: 'spilt' }),
  );
  assert.deepEqual([other.status, other.code, findLot(workshop, item.id).left], [409, 'id-taken', 90]);
  const run = await make(workshop, stored.id);
  const { left } = findLot(workshop, item.id);
  const finish: RunEvent = { kind: 'finished', verdict: 'good', goodPieces: 6, note: '' };
  assert.equal(
    problemFrom(() => recordEvent(workshop, run.id, crypto.randomUUID(), finish)).code,
    'run-has-ended',
  );
  assert.equal(findLot(workshop, item.id).left, left);
});

test('no order of edits makes stock disagree with its entries', async () => {
  const amount = fc.integer({ min: 1, max: 5000 }).map((tenths) => tenths / 10);
  const edit = fc.oneof(
    fc.record({ do: fc.constant('correct' as const), change: fc.integer({ min: -3000, max: 3000 }) }),
    fc.record({ do: fc.constant('count' as const), counted: amount }),
    fc.record({ do: fc.constant('relabel' as const), amount }),
    fc.record({ do: fc.constant('run' as const), chosen: fc.boolean() }),
    fc.record({ do: fc.constant('buy' as const), amount }),
  );
  await fc.assert(
    fc.asyncProperty(fc.array(edit, { maxLength: 10 }), async (edits) => {
      const { workshop, stored } = workshopWith(file);
      const ids = [addLot(workshop, lot('first', 60, '2027-01-01')).item.id];
      for (const each of edits) {
        const id = ids[0] ?? '';
        try {
          if (each.do === 'buy') ids.push(addLot(workshop, lot(`lot ${ids.length}`, each.amount)).item.id);
          if (each.do === 'count')
            editStock(workshop, id, crypto.randomUUID(), { kind: 'count', counted: each.counted, note: '' });
          if (each.do === 'correct')
            editStock(workshop, id, crypto.randomUUID(), {
              kind: 'correction',
              change: each.change,
              note: '',
            });
          if (each.do === 'relabel') {
            const { item, revision } = findLot(workshop, id);
            saveLot(workshop, { ...item, amount: each.amount }, revision);
          }
          if (each.do === 'run')
            await make(
              workshop,
              stored.id,
              each.chosen ? { lots: [{ materialId: 'scent-1', lotId: ids.at(-1) ?? id }] } : {},
            );
        } catch (error) {
          // An edit that takes more than is left is refused, and changes nothing.
          assert.ok(error instanceof Problem && error.status === 422);
        }
        const stock = workshop.lots.stock().get('scent-1') ?? [];
        const views = lotsOf(workshop, 'scent-1');
        assert.equal(stock.length, views.length);
        assert.ok(
          isClose(
            leftOf(stock),
            views.reduce((sum, { entries }) => sum + sumOfEntries(entries), 0),
            1e-9,
          ) || Math.abs(leftOf(stock)) < 1e-9,
        );
        for (const { left } of views) assert.ok(left > -1e-6, `${left} is below nothing`);
      }
    }),
    { numRuns: 60 },
  );
});

test('stock entries are never changed, and used materials can only be archived', () => {
  const { workshop } = workshopWith(file);
  addLot(workshop, lot('one', 10));
  assert.throws(() => workshop.db.exec('UPDATE stock_entries SET change = 0'), /never changed/);
  assert.throws(() => workshop.db.exec('DELETE FROM stock_entries'), /never deleted/);
  assert.equal(problemFrom(() => deleteMaterial(workshop, 'scent-1')).code, 'in-use');
  assert.equal(problemFrom(() => deleteMaterial(workshop, 'base-1')).code, 'in-use');
  workshop.materials.insert({ ...fragrance(), id: 'unused' }, '2026-01-01');
  deleteMaterial(workshop, 'unused');
  assert.equal(workshop.materials.find('unused'), undefined);
});

test('where the database may not grow, a tick is there with its stock or not at all, and is taken once there is room', async () => {
  const { workshop, stored } = workshopWith(planFile([{}]));
  const { db } = workshop;
  const { item } = addLot(workshop, lot('only', 5000, null, 'base-1'));
  const { id } = startRun(workshop, crypto.randomUUID(), stored.id);
  const taskId = 'r1/A/l1/base';
  const next = (): RunEvent =>
    findRun(workshop, id).events.length % 2 === 0
      ? { kind: 'weighed', taskId, massG: 600, note: 'x'.repeat(400) }
      : { kind: 'undone', taskId };
  db.pragma(`max_page_count = ${db.pragma('page_count', { simple: true })}`);
  let refused: { eventId: string; event: RunEvent } | null = null;
  for (let turn = 0; turn < 200 && refused === null; turn++) {
    const [eventId, event, before] = [crypto.randomUUID(), next(), findRun(workshop, id).events.length];
    try {
      recordEvent(workshop, id, eventId, event);
    } catch (error) {
      assert.deepEqual([databaseProblem(error)?.status, databaseProblem(error)?.code], [507, 'disk-full']);
      refused = { eventId, event };
      assert.equal(findRun(workshop, id).events.length, before);
    }
    const isWeighed = findRun(workshop, id).events.length % 2 === 1;
    assert.equal(findLot(workshop, item.id).left, isWeighed ? 4400 : 5000);
  }
  assert.ok(refused);
  assert.equal(db.pragma('integrity_check', { simple: true }), 'ok');
  db.pragma('max_page_count = 1073741823');
  const kept = findRun(workshop, id).events.length;
  assert.equal(recordEvent(workshop, id, refused.eventId, refused.event).events.length, kept + 1);
});
