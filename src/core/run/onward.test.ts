import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { anyPlanFile } from '../../../tests/support/anyPlanFile';
import { BOX, fragrance, mold, planFile, sheetOf } from '../../../tests/support/planFiles';
import { AT, snapshotOf } from '../../../tests/support/runs';
import { reviewPlan } from '../checks/review';
import { hasMold } from '../molds/noMold';
import { planFileSchema } from '../plan/planSchema';
import type { Sheet } from '../plan/sheet';
import { isWait } from '../work/task';
import { heatOnward } from './heatOnward';
import { type Onward, onward } from './onward';
import { checkEvent, progress, withEvent } from './progress';
import type { Run, RunEvent } from './run';

const START = Date.parse(AT);
const MIN = 60_000;

/** A run and its bench's clock: events happen when the clock says. */
function atBench(sheet: Sheet) {
  let run: Run = {
    id: 'run-1',
    planId: 'plan-1',
    planVersion: 1,
    startedAt: AT,
    snapshot: snapshotOf(sheet),
    events: [],
  };
  let nowMs = START;
  return {
    wait: (ms: number) => {
      nowMs += ms;
    },
    until: (atMs: number) => {
      nowMs = Math.max(nowMs, atMs);
    },
    now: () => nowMs,
    event(event: RunEvent) {
      const checked = checkEvent(run, event);
      assert.ok(checked.success, `${JSON.stringify(event)}: ${checked.success ? '' : checked.error.code}`);
      const at = new Date(nowMs).toISOString();
      run = withEvent(run, { occurredAt: at, recordedAt: at, source: {}, event });
    },
    so: () => progress(run),
    see: (): Onward => onward(progress(run), heatOnward(run, nowMs), START, nowMs),
  };
}

type AtBench = ReturnType<typeof atBench>;

/** Does the task in hand when it is due, and takes as long as it was planned to. */
function doNext(bench: AtBench): boolean {
  const { inHand } = bench.so();
  if (!inHand) return false;
  const planned = bench.see().tasks.find(({ id }) => id === inHand.id);
  bench.until(planned?.toMs ?? 0);
  bench.event(
    inHand.targetG === null
      ? { kind: 'done', taskId: inHand.id }
      : { kind: 'weighed', taskId: inHand.id, massG: inHand.targetG },
  );
  return true;
}

function doUntil(bench: AtBench, taskId: string): void {
  while (bench.so().inHand && bench.so().inHand?.id !== taskId) doNext(bench);
  assert.equal(bench.so().inHand?.id, taskId);
}

const STRIPES = sheetOf(
  planFile([{ size: '10 mm', doses: [[fragrance(), '2 %']] }, { size: 'rest' }], {}, BOX),
);

test('made as it was planned, the rest of a run keeps to its plan to a minute or so', () => {
  const bench = atBench(STRIPES);
  const planned = new Map(bench.so().tasks.map(({ id, toS }) => [id, START + toS * 1000]));
  doUntil(bench, 'r1/unmold');
  for (const { id, toMs } of bench.see().tasks.filter(({ kind }) => kind !== 'cool' && kind !== 'wrap'))
    assert.ok(
      Math.abs(toMs - (planned.get(id) ?? 0)) < 3 * MIN,
      `${id}: ${(toMs - (planned.get(id) ?? 0)) / 1000} s`,
    );
});

test('a poured layer skins: its wait runs, ends, and the next pour has a window that opens then and closes', () => {
  const bench = atBench(STRIPES);
  doUntil(bench, 'r1/A/l1/pour');
  assert.deepEqual(bench.see().windows, []);
  doNext(bench);
  const { waits, windows, tasks } = bench.see();
  const skin = waits.find(({ kind }) => kind === 'skin');
  assert.equal(skin?.id, 'r1/A/skin');
  // 10 mm poured at 57 °C: 5 to 10 minutes (common practice, no source).
  const minutes = ((skin?.toMs ?? 0) - bench.now()) / MIN;
  assert.ok(minutes > 4 && minutes < 10, `${minutes}`);
  const [window] = windows;
  assert.equal(window?.pourTaskId, 'r1/B/l1/pour');
  assert.ok(
    window && window.opensMs < window.closesMs && Math.abs(window.opensMs - (skin?.toMs ?? 0)) < 5 * MIN,
  );
  const pour = tasks.find(({ id }) => id === 'r1/B/l1/pour');
  assert.ok(pour && pour.fromMs >= window.opensMs && pour.fromMs <= window.closesMs);
});

test('a touch ends the wait, or makes it longer, and the rest moves with it', () => {
  const bench = atBench(STRIPES);
  doUntil(bench, 'r1/A/l1/pour');
  doNext(bench);
  const skin = () => bench.see().tasks.find(({ id }) => id === 'r1/A/skin')?.toMs ?? 0;
  const before = { skin: skin(), out: bench.see().outMs ?? 0 };
  bench.until(before.skin + MIN);
  bench.event({ kind: 'touched', taskId: 'r1/A/skin', carries: false });
  const later = { skin: skin(), out: bench.see().outMs ?? 0 };
  assert.ok(later.skin > bench.now() && later.out > before.out);
  bench.event({ kind: 'forgotten', taskId: 'r1/A/skin' });
  // Later than any mold would make it, it is touched again after a minute.
  bench.wait(90 * MIN);
  bench.event({ kind: 'touched', taskId: 'r1/A/skin', carries: false });
  assert.ok(Math.abs(skin() - bench.now() - MIN) < 2);
  bench.event({ kind: 'forgotten', taskId: 'r1/A/skin' });
  assert.ok(Math.abs(skin() - before.skin) < 1000);
  bench.wait(2 * MIN);
  bench.event({ kind: 'touched', taskId: 'r1/A/skin', carries: true });
  assert.ok(Math.abs(skin() - bench.now()) < 2);
  assert.ok(bench.see().waits.every(({ kind }) => kind !== 'skin'));
});

test('a pour that is too late is told so, with the heat that joins it after all', () => {
  const bench = atBench(STRIPES);
  doUntil(bench, 'r1/A/l1/pour');
  doNext(bench);
  bench.wait(45 * MIN);
  const [window] = bench.see().windows;
  assert.ok(window && window.closesMs < bench.now());
  assert.ok(window.rewarmC && window.rewarmC.fromC > 52 && window.rewarmC.toC <= 66);
});

test('ten minutes at the telephone make all that follows ten minutes later, and nothing that is done', () => {
  const [calm, called] = [atBench(STRIPES), atBench(STRIPES)];
  for (const bench of [calm, called]) doUntil(bench, 'r1/A/l1/dose-1');
  called.wait(10 * MIN);
  for (const bench of [calm, called]) doUntil(bench, 'r1/B/l1/pour');
  const [a, b] = [calm, called].map((bench) => new Map(bench.see().tasks.map(({ id, toMs }) => [id, toMs])));
  assert.equal(a?.get('r1/A/l1/melt'), b?.get('r1/A/l1/melt'));
  const off = ((b?.get('r1/unmold') ?? 0) - (a?.get('r1/unmold') ?? 0)) / MIN;
  assert.ok(off > 7 && off < 13, `${off}`);
});

test('a jug is followed by what is read in it, and its cooling ends when the forecast says', () => {
  const bench = atBench(STRIPES);
  doUntil(bench, 'r1/A/l1/dose-1');
  const melt = 'r1/A/l1/melt';
  const jug = () =>
    heatOnward({ snapshot: snapshotOf(STRIPES), events: [] }, 0, bench.so()).jugs.find(
      ({ taskId }) => taskId === melt,
    );
  assert.equal(jug()?.isRead, false);
  bench.event({ kind: 'measured', taskId: melt, tempC: 64 });
  bench.wait(2 * MIN);
  bench.event({ kind: 'measured', taskId: melt, tempC: 61.5 });
  const seen = jug();
  assert.ok(seen?.isRead && seen.taskId === melt && Math.abs(seen.forecast.lastC - 61.5) < 1);
  doNext(bench);
  const cool = bench.see().tasks.find(({ id }) => id === 'r1/A/l1/cool');
  const reaches = jug()?.forecast.reaches[0];
  assert.ok(cool && reaches && Math.abs(cool.toMs - (seen.fromMs + reaches.middle * 1000)) < 1000);
  assert.equal(
    checkEvent(
      { snapshot: snapshotOf(STRIPES), events: [] },
      { kind: 'measured', taskId: 'r1/A/l1/pour', tempC: 60 },
    ).success,
    false,
  );
});

test('any plan is made to its end by a maker with delays: no dead end, no task twice, hands never at two tasks, nothing before what it needs', () => {
  fc.assert(
    fc.property(
      anyPlanFile(4),
      fc.array(fc.integer({ min: 0, max: 15 }), { minLength: 5, maxLength: 5 }),
      (file, delays) => {
        const { sheet } = reviewPlan(planFileSchema.parse(file));
        if (!sheet || !hasMold(sheet)) return;
        const bench = atBench(sheet);
        const seen = new Set<string>();
        for (let turn = 0; bench.so().inHand; turn++) {
          const { inHand } = bench.so();
          assert.ok(inHand && !seen.has(inHand.id), inHand?.id);
          seen.add(inHand.id);
          // Heat is asked now and then: it does not change what follows what.
          const heat = turn % 7 === 0;
          const { tasks } = heat ? bench.see() : onward(bench.so(), null, START, bench.now());
          const byId = new Map(tasks.map((task) => [task.id, task]));
          const open = tasks.filter(({ doneAt }) => doneAt === null);
          for (const task of open)
            for (const need of task.needs) {
              const before = byId.get(need);
              if (before && !isWait(task))
                assert.ok(task.fromMs >= before.toMs - 1, `${task.id} before ${need}`);
            }
          const hands = open
            .filter((task) => task.hands && !isWait(task))
            .sort((a, b) => a.fromMs - b.fromMs);
          for (const [place, task] of hands.entries())
            assert.ok(place === 0 || task.fromMs >= (hands[place - 1]?.toMs ?? 0) - 1, task.id);
          bench.wait((delays[turn % delays.length] ?? 0) * MIN);
          doNext(bench);
        }
        const weighed = bench.so().tasks.filter(({ plannedG }) => plannedG !== null);
        assert.ok(weighed.every(({ actualG, targetG }) => actualG !== null && actualG === targetG));
      },
    ),
    { numRuns: 50, seed: 20_261_128 },
  );
});

test('rounds follow one another: the second is later by what the first was, and its skins are its own', () => {
  const two = sheetOf(planFile([{}], { pieces: 12 }, mold({ cavities: 6 })));
  const bench = atBench(two);
  doUntil(bench, 'r1/A/l1/pour');
  bench.wait(30 * MIN);
  doUntil(bench, 'r2/A/l1/pour');
  doNext(bench);
  assert.ok(bench.see().waits.some(({ id }) => id === 'r2/A/skin'));
});
