import assert from 'node:assert/strict';
import test from 'node:test';
import { BOX, base, mold, planFile, sheetOf } from '../../../tests/support/planFiles';
import { type AtBench, atBench, doNext, MIN } from '../../../tests/support/scriptedMaker';
import { checkEvent } from '../run/checkEvent';
import type { RunEvent } from '../run/run';
import { rackCall } from './rackCall';
import { rackRounds } from './rackRounds';

const LOAF = mold({
  cavities: 1,
  capacityMl: 1000,
  shape: { kind: 'box', lengthMm: 200, widthMm: 80, depthMm: 62.5, draftDeg: 0, cornerMm: 0 },
  sliceMm: 25,
});

function makeUntil(bench: AtBench, taskId: string): void {
  while (bench.so().inHand && bench.so().inHand?.id !== taskId) doNext(bench);
  assert.equal(bench.so().inHand?.id, taskId);
}

const on = (bench: AtBench) => rackRounds(bench.so(), bench.see());
const kinds = (bench: AtBench) => on(bench).map(({ due }) => due.map(({ kind }) => kind));

function look(round: number, over: Partial<Extract<RunEvent, { kind: 'inspected' }>> = {}): RunEvent {
  return {
    kind: 'inspected',
    inspectionId: `look-${round}-${JSON.stringify(over).length}`,
    round,
    pieces: { good: 1, second: 0, scrap: 0, remelt: 0 },
    faults: [],
    weightsG: [],
    note: '',
    againAfterDays: null,
    ...over,
  };
}

function refused(bench: AtBench, event: RunEvent): string {
  const checked = checkEvent(bench.run(), event);
  return checked.success ? '' : checked.error.code;
}

test('a loaf stands on the rack from its last pour until it is out, cut, looked at and wrapped, and back when it is looked at again', () => {
  const bench = atBench(sheetOf(planFile([{}], { pieces: 8 }, LOAF)));
  makeUntil(bench, 'r1/A/l1/pour');
  assert.deepEqual(on(bench), []);
  makeUntil(bench, 'r1/unmold');
  const [row] = on(bench);
  assert.deepEqual(kinds(bench), [['unmold', 'cut-bars', 'inspect', 'wrap']]);
  assert.ok(row?.isInMold);
  const due = row?.due[0]?.due;
  assert.deepEqual(row.freeMs, due);
  // As sure as it was planned.
  const spread = bench.see().tasks.map((task) => {
    const ends = { low: task.toS - 600, middle: task.toS, high: task.toS + 900 };
    return task.kind === 'set' ? { ...task, ends } : task;
  });
  const ranged = rackRounds(bench.so(), { tasks: spread })[0]?.due[0]?.due;
  assert.ok(ranged && due && Math.abs(ranged.middle - due.middle) < 1);
  assert.ok(
    Math.abs(ranged.middle - ranged.low - 10 * MIN) < 1 &&
      Math.abs(ranged.high - ranged.middle - 15 * MIN) < 1,
  );
  assert.equal(refused(bench, look(0)), 'not-out-yet');
  doNext(bench);
  assert.deepEqual(kinds(bench), [['cut-bars', 'inspect', 'wrap']]);
  assert.deepEqual([on(bench)[0]?.isInMold, on(bench)[0]?.freeMs], [false, null]);
  bench.event({ kind: 'finished', verdict: 'good', goodPieces: 8, note: '' });
  // In the Logbook, it goes on all the same.
  bench.event({ kind: 'done', taskId: 'r1/cut-bars' });
  assert.equal(refused(bench, { kind: 'undone', taskId: 'r1/unmold' }), 'run-has-ended');
  assert.equal(refused(bench, { kind: 'room-read', tempC: 20, humidity: null }), 'run-has-ended');
  assert.equal(refused(bench, look(1)), 'unknown-round');
  assert.equal(
    refused(bench, look(0, { pieces: { good: 8, second: 0, scrap: 1, remelt: 0 } })),
    'too-many-pieces',
  );
  bench.event(look(0, { againAfterDays: 14 }));
  bench.event({ kind: 'done', taskId: 'r1/wrap' });
  const [watched] = on(bench);
  assert.deepEqual(kinds(bench), [['look-again']]);
  assert.ok(Math.abs((watched?.due[0]?.due.middle ?? 0) - bench.now() - 14 * 24 * 60 * MIN) < 1);
  bench.wait(14 * 24 * 60 * MIN);
  bench.event(look(0, { note: 'no dew' }));
  assert.deepEqual(on(bench), []);
  bench.event({ kind: 'remarked', note: 'Still smells after a month' });
  assert.equal(bench.so().remarks.length, 1);
});

test('what is felt moves what is due: firm is now, soft later by a part of its time, stuck in ten minutes', () => {
  const bench = atBench(sheetOf(planFile([{ base: base({ hardensH: 24 }) }], {}, BOX)));
  makeUntil(bench, 'r1/unmold');
  const due = () => (on(bench)[0]?.due[0]?.due.middle ?? 0) - bench.now();
  const feel = (how: 'firm' | 'soft' | 'stuck' | 'warm') =>
    bench.event({ kind: 'felt', taskId: 'r1/unmold', how });
  const poured = Date.parse(bench.so().tasks.find(({ id }) => id === 'r1/A/l1/pour')?.doneAt ?? '');
  bench.until(poured + 100 * MIN);
  feel('firm');
  assert.equal(due(), 0);
  const call = (nowMs: number) => {
    const [round] = on(bench);
    return round ? rackCall(bench.run(), bench.so(), round, nowMs) : null;
  };
  assert.deepEqual([call(bench.now())?.id, call(bench.now())?.dueMs], ['unmold-0#1', bench.now()]);
  assert.equal(call(bench.now() + 13 * 60 * MIN), null, 'nobody was there');
  feel('soft');
  assert.equal(due(), 15 * MIN);
  feel('stuck');
  assert.equal(due(), 10 * MIN);
  bench.event({ kind: 'forgotten', taskId: 'r1/unmold' });
  assert.equal(due(), 15 * MIN);
  assert.equal(refused(bench, { kind: 'felt', taskId: 'r1/A/l1/pour', how: 'firm' }), 'not-felt');
  doNext(bench);
  assert.equal(refused(bench, { kind: 'felt', taskId: 'r1/unmold', how: 'firm' }), 'not-felt');
  const [hardening] = on(bench);
  assert.deepEqual(
    hardening?.waits.map(({ kind }) => kind),
    ['harden'],
  );
  assert.equal((hardening?.waits[0]?.ends.middle ?? 0) - bench.now(), 24 * 60 * MIN);
});

test('several rounds stand there one by one, and an inspection that is withdrawn is asked for again', () => {
  const bench = atBench(sheetOf(planFile([{}], { pieces: 12 }, BOX)));
  while (bench.so().inHand) doNext(bench);
  assert.deepEqual(
    on(bench).map(({ round }) => round),
    [0, 1],
  );
  bench.event(look(0, { inspectionId: 'first' }));
  assert.equal(refused(bench, look(1, { inspectionId: 'first' })), 'inspected-already');
  assert.deepEqual(
    on(bench).map(({ round }) => round),
    [1],
  );
  bench.event({ kind: 'withdrawn', inspectionId: 'first' });
  assert.equal(refused(bench, { kind: 'withdrawn', inspectionId: 'first' }), 'unknown-inspection');
  assert.deepEqual(
    on(bench).map(({ due }) => due[0]?.kind),
    ['inspect', 'inspect'],
  );
});
