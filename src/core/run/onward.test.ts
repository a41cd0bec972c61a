import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { anyPlanFile } from '../../../tests/support/anyPlanFile';
import { BOX, fragrance, mold, planFile, sheetOf } from '../../../tests/support/planFiles';
import { snapshotOf } from '../../../tests/support/runs';
import {
  type AtBench,
  atBench,
  doNext,
  MAKERS_DELAYS,
  MIN,
  makeToTheEnd,
  START,
} from '../../../tests/support/scriptedMaker';
import { checkEvent } from './checkEvent';
import { heatOnward } from './heatOnward';
import { rewarmedC } from './jugThen';
import type { RunEvent } from './run';
import { slimSheet } from './snapshot';

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
  const { fromC } = window.rewarmC;
  const jug = () =>
    heatOnward(bench.run(), bench.now()).jugs.find(({ pourTaskId }) => pourTaskId === window.pourTaskId);
  const warm = () => rewarmedC(window, jug(), bench.now());
  assert.equal(warm(), null);
  const read = (tempC: number) => {
    bench.wait(0.5 * MIN);
    bench.event({ kind: 'measured', taskId: 'r1/B/l1/melt', tempC });
  };
  // Read cold, then on its way up and again: only what came after it was warmed tells how it cools.
  for (const tempC of [47, fromC - 2, fromC + 1, fromC + 3]) read(tempC);
  assert.ok(Math.abs((warm() ?? 0) - fromC - 3) < 0.5, `${warm()}`);
  assert.ok((jug()?.forecast.scale ?? 0) < 2);
  bench.wait(30 * MIN);
  assert.equal(warm(), null);
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

test('a colder room than was planned lets a layer skin sooner', () => {
  const skinS = (...then: RunEvent[]) => {
    const bench = atBench(STRIPES);
    for (const event of then) bench.event(event);
    doUntil(bench, 'r1/A/l1/pour');
    doNext(bench);
    return (
      heatOnward({ snapshot: snapshotOf(STRIPES), events: [] }, 0, bench.so()).rounds[0]?.layers[0]?.skinS ??
      0
    );
  };
  const planned = skinS();
  const cold = skinS({ kind: 'room-read', tempC: 12, humidity: null });
  assert.ok(cold > 0 && cold < planned * 0.95, `${cold} of ${planned}`);
  assert.ok(skinS({ kind: 'room-read', tempC: 28, humidity: 0.7 }) > planned);
});

test('any plan is made to its end by a maker with delays: no dead end, no task twice, hands never at two tasks, nothing before what it needs', () => {
  fc.assert(
    fc.property(anyPlanFile(4), MAKERS_DELAYS, (file, delays) => {
      makeToTheEnd(file, delays);
    }),
    { numRuns: 50, seed: 20_261_128 },
  );
});

test('once every bar is out of its mold, nothing says when they come out', () => {
  const bench = atBench(STRIPES);
  doUntil(bench, 'r1/unmold');
  assert.notEqual(bench.see().outMs, null);
  doNext(bench);
  assert.equal(bench.see().outMs, null);
});

test('a mold that was taught to lose heat faster is followed so at the bench, also from a snapshot', () => {
  const on = '2026-02-01';
  const lesson = (scale: number) => ({
    ...{ on, scale, spread: 0.1 },
    from: { is: 'touch' as const, carriedS: 300, planName: 'Test' },
  });
  const skin = (taught: ReturnType<typeof lesson>[]) => {
    const slim = slimSheet({ ...STRIPES, mold: { ...STRIPES.mold, taught } });
    const bench = atBench(slim);
    doUntil(bench, 'r1/A/l1/pour');
    doNext(bench);
    const wait = bench.see().waits.find(({ kind }) => kind === 'skin');
    return (wait?.toMs ?? 0) - (wait?.fromMs ?? 0);
  };
  // The last lesson counts.
  assert.ok(skin([lesson(0.5), lesson(1.8)]) < skin([]) * 0.8);
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
