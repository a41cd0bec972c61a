import assert from 'node:assert/strict';
import test from 'node:test';
import { BOX, fragrance, planFile, sheetOf } from '../../../tests/support/planFiles';
import { atBench, doNext, MIN } from '../../../tests/support/scriptedMaker';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { DARES, placeDare } from './dares';
import { MISHAPS, type Mishap, placeMishaps } from './mishaps';
import { rehearsed } from './rehearsed';

const jug = (id: string) => ({ id, name: `Jug ${id}`, holdsMl: 900, taught: [] });
const rules = { ...USUAL_HOUSE_RULES, jugs: [jug('a'), jug('b')] };
const sheet = sheetOf(
  planFile([{ size: '10 mm', doses: [[fragrance(), '2 %']] }, { size: 'rest' }], {}, BOX),
);
const POUR_B = 'r1/B/l1/pour';

/** Made to its end, the second layer so long after the first, or as the bench asks for it. */
function made(afterMin: number | null, mishaps: Mishap[] = [], tempC?: number) {
  const bench = atBench(sheet, rules);
  while (bench.so().inHand) {
    if (bench.so().inHand?.id === POUR_B && afterMin !== null) {
      const poured = bench.see().tasks.find(({ id }) => id === 'r1/A/l1/pour');
      const length = bench.see().tasks.find(({ id }) => id === POUR_B);
      const tookMs = (length?.toMs ?? 0) - (length?.fromMs ?? 0);
      bench.until((poured?.fromMs ?? 0) + afterMin * MIN + tookMs);
      bench.event({ kind: 'done', taskId: POUR_B, ...(tempC === undefined ? {} : { tempC }) });
    } else doNext(bench);
  }
  return rehearsed(bench.run(), mishaps);
}

test('made as the bench asks for it, its layers join and nothing is left to say', () => {
  const told = made(null);
  assert.deepEqual(
    told.bonds.map(({ below, above, bond }) => [below, above, bond === 'good' || bond === 'deep']),
    [['A', 'B', true]],
  );
  assert.deepEqual([told.tooHot, told.over, told.off, told.open], [[], [], [], 0]);
  assert.ok(Math.abs(told.lateS) < 4 * 60, `${told.lateS}`);
});

test('too late it does not join, too hot and too soon it breaks through; each says its window', () => {
  const [late] = made(80).bonds;
  assert.equal(late?.bond, 'weak');
  assert.ok(late && late.afterS > late.latestS && Math.abs(late.afterS - 80 * 60) < 1);
  const hot = made(3, [], 72);
  assert.equal(hot.bonds[0]?.bond, 'broken');
  assert.ok((hot.bonds[0]?.afterS ?? 0) < (hot.bonds[0]?.earliestS ?? 0));
  assert.deepEqual(
    hot.tooHot.map(({ letters, tempC }) => [letters, tempC]),
    [['B', 72]],
  );
});

test('in a room that was colder than planned, a layer carries sooner', () => {
  const earliest = (mishaps: Mishap[]) => made(null, mishaps).bonds[0]?.earliestS ?? 0;
  assert.ok(earliest([{ kind: 'cold-room', byK: 8 }]) < earliest([]) * 0.98);
});

test('a base that is cut heavy is told, and its doses follow it', () => {
  const bench = atBench(sheet, rules);
  const first = bench.so().inHand;
  bench.event({ kind: 'weighed', taskId: first?.id ?? '', massG: (first?.targetG ?? 0) * 1.04 });
  while (bench.so().inHand) doNext(bench);
  const { off, over } = rehearsed(bench.run(), []);
  assert.deepEqual(
    off.map(({ task, deviation }) => [task.id, Math.round(deviation * 100)]),
    [[first?.id, 4]],
  );
  assert.deepEqual(over, []);
});

test('mishaps happen at the same places for the same seed, one more moves no other, and some have no place', () => {
  const { tasks } = atBench(sheet, rules).run().snapshot;
  const all = placeMishaps(tasks, MISHAPS, 7);
  assert.deepEqual(
    all.map(({ kind }) => kind),
    [...MISHAPS],
  );
  assert.deepEqual(placeMishaps(tasks, MISHAPS, 7), all);
  for (const kind of MISHAPS)
    assert.deepEqual(
      placeMishaps(tasks, [kind], 7),
      all.filter((each) => each.kind === kind),
    );
  const seeds = Array.from({ length: 40 }, (_, seed) => JSON.stringify(placeMishaps(tasks, MISHAPS, seed)));
  assert.ok(new Set(seeds).size > 20);
  const single = atBench(sheetOf(planFile([{}], {}, BOX))).run().snapshot.tasks;
  assert.deepEqual(placeMishaps(single, ['early-touch'], 1), []);
  assert.deepEqual(
    DARES.filter((dare) => placeDare(dare, single) === null),
    ['too-late', 'dose-first', 'small-jug', 'long-freezer'],
  );
  assert.equal(placeDare('too-late', tasks)?.taskId, POUR_B);
});
