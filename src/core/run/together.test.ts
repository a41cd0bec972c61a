import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { BOX, fragrance, mold, planFile, sheetOf } from '../../../tests/support/planFiles';
import { atBench, doNext, MIN } from '../../../tests/support/scriptedMaker';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import type { Sheet } from '../plan/sheet';
import { isWait } from '../work/task';
import { onward } from './onward';
import { type BenchRun, inTheWay, onwardTogether } from './together';

const jug = (id: string) => ({ id, name: `Jug ${id}`, holdsMl: 900, taught: [] });
const stripes = (moldId: string, copies = 1) =>
  sheetOf(
    planFile(
      [{ size: '10 mm', doses: [[fragrance(), '2 %']] }, { size: 'rest' }],
      {},
      {
        ...BOX,
        id: moldId,
        copies,
      },
    ),
  );
const small = (moldId: string) => sheetOf(planFile([{}], {}, mold({ id: moldId, cavities: 6 })));

/** A run of each sheet, so many of its tasks done. */
function onBench(sheets: readonly (readonly [Sheet, number])[], jugs = ['a', 'b', 'c']) {
  const rules = { ...USUAL_HOUSE_RULES, jugs: jugs.map(jug) };
  const benches = sheets.map(([sheet, tasks]) => {
    const bench = atBench(sheet, rules);
    for (let done = 0; done < tasks; done++) doNext(bench);
    return bench;
  });
  const nowMs = Math.max(...benches.map((bench) => bench.now()));
  const runs = benches.map(
    (bench, place): BenchRun => ({ run: { ...bench.run(), id: `run-${place}` }, so: bench.so(), heat: null }),
  );
  return { runs, nowMs, seen: onwardTogether(runs, nowMs) };
}

test('a run by itself goes on as it does alone', () => {
  for (const tasks of [0, 4, 9]) {
    const { runs, nowMs, seen } = onBench([[stripes('one'), tasks]]);
    const [run] = runs;
    assert.ok(run);
    assert.deepEqual(seen[0], onward(run.so, null, Date.parse(run.run.startedAt), nowMs));
  }
});

test('one pair of hands: of any runs, no two are worked at once, and each keeps its own order', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 2, maxLength: 4 }), (dones) => {
      const { seen } = onBench(
        dones.map((done, place) => [place % 2 === 0 ? stripes(`m${place}`) : small(`m${place}`), done]),
      );
      const hands = seen
        .flatMap(({ tasks }) => tasks.filter((task) => task.hands && !isWait(task) && task.doneAt === null))
        .sort((a, b) => a.fromMs - b.fromMs || a.toMs - b.toMs);
      hands.forEach((task, place) => {
        const before = hands[place - 1];
        if (before) assert.ok(task.fromMs >= before.toMs - 1, `${before.id} and ${task.id}`);
      });
      for (const { tasks } of seen) {
        const byId = new Map(tasks.map((task) => [task.id, task]));
        for (const task of tasks)
          for (const need of task.needs)
            assert.ok(task.doneAt !== null || task.fromMs >= (byId.get(need)?.toMs ?? 0) - 1, task.id);
      }
    }),
    { numRuns: 30 },
  );
});

test('one set of jugs: what another run has in the only jug is poured first, and is named', () => {
  const { runs, seen } = onBench(
    [
      [stripes('m1'), 3],
      [small('m2'), 0],
    ],
    ['a'],
  );
  const at = (place: number, id: string) => seen[place]?.tasks.find((task) => task.id === id);
  const poured = at(0, 'r1/A/l1/pour')?.toMs ?? Infinity;
  assert.ok((at(1, 'r1/A/l1/base')?.fromMs ?? 0) >= poured);
  const [hold] = inTheWay(runs, 1, 'r1/A/l1/base');
  assert.deepEqual(
    [hold?.of, hold?.id, hold?.run.id, hold?.untilTaskId],
    ['jug', 'a', 'run-0', 'r1/A/l1/pour'],
  );
  assert.deepEqual(inTheWay(runs, 0, 'r1/B/l1/base'), []);
});

test('one mold: poured into again once its bars are out, and at once where there are two of it', () => {
  const poured = stripes('same');
  const done = 6;
  const one = onBench([
    [poured, done],
    [small('same'), 2],
  ]);
  const outMs = one.seen[0]?.outMs ?? 0;
  const pour = (seen: typeof one.seen) => seen[1]?.tasks.find(({ kind }) => kind === 'pour');
  assert.ok(outMs > one.nowMs + 30 * MIN);
  assert.ok((pour(one.seen)?.fromMs ?? 0) >= outMs);
  assert.equal(inTheWay(one.runs, 1, pour(one.seen)?.id ?? '')[0]?.of, 'mold');
  const twice = onBench([
    [stripes('same', 2), done],
    [sheetOf(planFile([{}], { pieces: 6 }, mold({ id: 'same', cavities: 6, copies: 2 }))), 2],
  ]);
  assert.ok((pour(twice.seen)?.fromMs ?? Infinity) < twice.nowMs + 30 * MIN);
});
