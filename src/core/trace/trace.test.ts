import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { type TraceSource, traceLot, traceRun } from './trace';

/** Runs in order: each takes lots that are there by then, and may leave one. */
function shopOf(runs: readonly { takes: readonly string[]; leaves: string | null }[]): TraceSource {
  const named = runs.map((run, place) => ({ ...run, id: `run-${place}` }));
  return {
    runsOfLot: (lotId) =>
      named.filter(({ takes }) => takes.includes(lotId)).map(({ id }) => ({ runId: id, amount: 1 })),
    lotsOfRun: (runId) =>
      (named.find(({ id }) => id === runId)?.takes ?? []).map((lotId) => ({ lotId, amount: 1 })),
    lotsLeftBy: (runId) =>
      named.flatMap(({ id, leaves }) => (id === runId && leaves !== null ? [leaves] : [])),
    runThatLeft: (lotId) => named.find(({ leaves }) => leaves === lotId)?.id ?? null,
  };
}

test('a lot is followed through the scrap jar to all that holds something of it, and back', () => {
  const shop = shopOf([
    { takes: ['scent', 'base'], leaves: 'scrap-0' },
    { takes: ['base'], leaves: 'scrap-1' },
    { takes: ['scrap-0', 'base'], leaves: 'scrap-2' },
    { takes: ['scrap-2'], leaves: null },
  ]);
  assert.deepEqual(
    traceLot('scent', shop).map(({ runId, through }) => [runId, through]),
    [
      ['run-0', []],
      ['run-2', ['scrap-0']],
      ['run-3', ['scrap-0', 'scrap-2']],
    ],
  );
  assert.deepEqual(
    traceRun('run-3', shop).map(({ lotId, through }) => [lotId, through]),
    [
      ['scrap-2', []],
      ['scrap-0', ['run-2']],
      ['base', ['run-2']],
      ['scent', ['run-2', 'run-0']],
      ['base', ['run-2', 'run-0']],
    ],
  );
  assert.deepEqual(traceLot('nothing', shop), []);
});

test('forward and back agree: a lot reaches a run just where the run reaches back to the lot, and a circle ends', () => {
  const lot = fc.constantFrom('a', 'b', 'c', 's0', 's1', 's2', 's3');
  const runs = fc.array(
    fc.record({
      takes: fc.uniqueArray(lot, { maxLength: 4 }),
      leaves: fc.constantFrom(null, 's0', 's1', 's2', 's3'),
    }),
    { maxLength: 8 },
  );
  fc.assert(
    fc.property(runs, (all) => {
      // A lot is left by one run only.
      const left = new Set<string>();
      const once = all.map((run) => {
        const leaves = run.leaves !== null && !left.has(run.leaves) ? run.leaves : null;
        if (leaves !== null) left.add(leaves);
        return { ...run, leaves };
      });
      const shop = shopOf(once);
      for (const [place] of once.entries())
        for (const lotId of ['a', 'b', 'c']) {
          const runId = `run-${place}`;
          assert.equal(
            traceLot(lotId, shop).some((each) => each.runId === runId),
            traceRun(runId, shop).some((each) => each.lotId === lotId),
          );
        }
    }),
  );
});
