import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { BOX, base, planFile, sheetOf } from '../../../tests/support/planFiles';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { busy } from './busy';
import { makePourPlan } from './makePourPlan';
import { makePourPlans, type PlacedRun } from './makePourPlans';

const JUGS = [400, 900, 2000].map((holdsMl) => ({
  id: `jug-${holdsMl}`,
  name: 'Jug',
  holdsMl,
  taught: [],
}));
const RULES = { ...USUAL_HOUSE_RULES, jugs: JUGS };
const sheet = (pours = 2, copies = 1, pieces = 6, moldId = BOX.id) =>
  sheetOf(
    planFile(
      Array.from({ length: pours }, (_, index) => ({ base: base({ id: `b${index}` }) })),
      { pieces },
      { ...BOX, id: moldId, copies },
    ),
  );

/** Every task of all runs by one clock. */
const tasksOf = (runs: readonly PlacedRun[]) =>
  runs.flatMap(({ beginsS, pourPlan }, run) =>
    pourPlan.tasks.map((task) => ({
      ...task,
      run,
      fromS: task.fromS + beginsS,
      toS: task.toS + beginsS,
    })),
  );

/** How many of these are on at once, at the most. What touches does not overlap. */
function mostAtOnce(spans: readonly { fromS: number; toS: number }[]): number {
  return Math.max(
    0,
    ...spans.map(
      ({ fromS }) => spans.filter((each) => each.fromS <= fromS + 1e-3 && each.toS > fromS + 1e-3).length,
    ),
  );
}

/** From the first pour of a round until its mold is wiped. */
function moldSpans(runs: readonly PlacedRun[]) {
  const spans = new Map<string, { fromS: number; toS: number }>();
  for (const { run, round, kind, fromS, toS } of tasksOf(runs)) {
    if (!['pour', 'unmold', 'wash'].includes(kind)) continue;
    const key = `${run} ${round}`;
    const known = spans.get(key);
    spans.set(key, {
      fromS: Math.min(known?.fromS ?? fromS, fromS),
      toS: Math.max(known?.toS ?? toS, toS),
    });
  }
  return [...spans.values()];
}

test('one run alone begins as soon as it may, with the tasks it always has, and takes no longer', () => {
  const [only] = makePourPlans([{ sheet: sheet(), notBeforeS: 5000 }], RULES);
  assert.ok(only);
  assert.ok(Math.abs(only.beginsS - 5000) < 16, String(only.beginsS));
  const alone = makePourPlan(sheet(), RULES, 0);
  const ids = ({ tasks }: typeof alone) => tasks.map(({ id }) => id).filter((id) => !id.endsWith('rewarm'));
  assert.deepEqual(ids(only.pourPlan).sort(), ids(alone).sort());
  assert.ok(only.pourPlan.done.middle < alone.done.middle + 16);
});

test('two runs in one mold follow one another; in two copies of it they overlap, and hands are shared', () => {
  const two = (copies: number, makers = 1) =>
    makePourPlans(
      [0, 0].map((notBeforeS) => ({ sheet: sheet(2, copies), notBeforeS })),
      RULES,
      { makers },
    );
  const one = moldSpans(two(1));
  assert.deepEqual([one.length, mostAtOnce(one)], [2, 1]);
  const both = two(2);
  assert.equal(mostAtOnce(moldSpans(both)), 2);
  assert.equal(mostAtOnce(tasksOf(both).filter(({ hands }) => hands)), 1);
  // A second maker brings the second run forward.
  const [, alone] = both;
  const [, helped] = two(2, 2);
  assert.ok(alone && helped && helped.beginsS < alone.beginsS - 60);
});

test('a run that knows of one copy of a mold, and one that knows of two, are both placed', () => {
  const runs = makePourPlans(
    [
      { sheet: sheet(1, 1, 6), notBeforeS: 0 },
      { sheet: sheet(1, 2, 12), notBeforeS: 0 },
    ],
    RULES,
  );
  assert.ok(runs.every(({ beginsS, pourPlan }) => Number.isFinite(beginsS + pourPlan.done.middle)));
  // The second takes both copies, and so waits for the first.
  assert.equal(mostAtOnce(moldSpans(runs)), 1);
});

test('no maker, oven, jug or mold is ever at two things, however many runs there are', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          pours: fc.integer({ min: 1, max: 3 }),
          pieces: fc.constantFrom(2, 6, 9, 20),
          moldId: fc.constantFrom('m1', 'm2'),
          notBeforeS: fc.constantFrom(0, 600, 20_000),
        }),
        { minLength: 2, maxLength: 4 },
      ),
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 1, max: 2 }),
      (wanted, makers, ovens) => {
        const runs = makePourPlans(
          wanted.map(({ pours, pieces, moldId, notBeforeS }) => ({
            sheet: sheet(pours, 1, pieces, moldId),
            notBeforeS,
          })),
          RULES,
          { makers, ovens },
        );
        const tasks = tasksOf(runs);
        assert.ok(runs.every(({ beginsS }, run) => beginsS >= (wanted[run]?.notBeforeS ?? 0) - 1e-3));
        assert.ok(mostAtOnce(tasks.filter(({ hands }) => hands)) <= makers);
        assert.ok(mostAtOnce(tasks.filter(({ kind }) => kind === 'melt')) <= ovens);
        for (const { id } of JUGS)
          assert.ok(
            mostAtOnce(
              tasks.filter(({ kind, jugs }) => kind === 'melt' && jugs.some((jug) => jug.id === id)),
            ) <= 1,
          );
        for (const moldId of ['m1', 'm2'])
          assert.ok(
            mostAtOnce(moldSpans(runs.filter((_, run) => wanted[run]?.moldId === moldId))) <= 1,
            moldId,
          );
      },
    ),
    { numRuns: 15 },
  );
});

test('so many of a kind: what is taken twice is free a third time only where there are three', () => {
  const pair = busy(() => 2);
  pair.take(0, 100);
  pair.take(50, 150);
  assert.ok(pair.isFree(0, 50) && !pair.isFree(40, 60) && pair.isFree(100, 300));
  assert.equal(pair.firstFreeS(40, 30), 100);
  assert.equal(pair.firstFreeS(0, 10, 2), 150);
  assert.equal(pair.firstFreeS(0, 10, 3), Number.POSITIVE_INFINITY);
});
