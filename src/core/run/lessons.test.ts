import assert from 'node:assert/strict';
import test from 'node:test';
import { BOX, fragrance, isClose, planFile, sheetOf } from '../../../tests/support/planFiles';
import { type AtBench, atBench, doNext, MIN } from '../../../tests/support/scriptedMaker';
import { coolJug, jugAtC } from '../heat/jug';
import { substanceOf } from '../heat/substanceOf';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import { NOMINAL } from '../schedule/factors';
import { heatCaseOf } from '../schedule/heatCase';
import { jugSurroundings } from '../schedule/jugLoads';
import { parseQuantity } from '../units/parseQuantity';
import { doseText } from './doseText';
import { lessonsOf } from './lessons';
import type { RunEvent } from './run';

const JUG = { id: 'jug', name: 'Test jug', holdsMl: 800, taught: [] };
const rules = { ...USUAL_HOUSE_RULES, jugs: [JUG] };
const sheet = sheetOf(
  planFile([{ size: '10 mm', doses: [[fragrance(), '40 drops']] }, { size: 'rest' }], {}, BOX),
);
const ROOM: RunEvent = { kind: 'room-read', tempC: 18, humidity: 0.5 };
const MELT = 'r1/A/l1/melt';

/** Makes a run up to a task, with a room of 18 °C. */
function benchAt(taskId: string, ...before: RunEvent[]): AtBench {
  const bench = atBench(sheet, rules);
  for (const event of before) bench.event(event);
  while (bench.so().inHand?.id !== taskId) doNext(bench);
  return bench;
}

/** What a thermometer shows each half minute of a jug that loses so many times what the model has. */
function cools(bench: AtBench, scale: number, count: number) {
  const heat = heatCaseOf(sheet, rules);
  const room = { ...heat.room, tempC: 18 };
  const around = { ...jugSurroundings({ ...heat, room }, JUG, NOMINAL), lossScale: scale };
  const base = sheet.pours[0]?.base;
  assert.ok(base);
  const contentG = bench.so().tasks.find(({ id }) => id === 'r1/A/l1/base')?.actualG ?? 0;
  const own = { holdsMl: JUG.holdsMl, contentG: contentG * 1.02 };
  const moments = coolJug(own, substanceOf(base), 68, around, count * 30 + 1);
  const startMs = bench.now();
  return Array.from({ length: count }, (_, place) => ({
    taskId: MELT,
    at: new Date(startMs + place * 30_000).toISOString(),
    tempC: jugAtC(moments, place * 30),
  }));
}

test('a jug that was read while it stood teaches how it loses heat, in a room that was read', () => {
  const bench = benchAt('r1/A/l1/pour', ROOM);
  const readings = cools(bench, 1.3, 16);
  bench.wait(8 * MIN);
  const [lesson] = lessonsOf(bench.run(), readings);
  assert.ok(lesson?.of === 'jug' && lesson.id === 'jug' && lesson.taught.success);
  const { scale, spread, from } = lesson.taught.data;
  assert.ok(Math.abs(scale / 1.3 - 1) < 0.03, `${scale}`);
  assert.ok(spread < 0.1 && from.is === 'readings' && from.runId === 'run-1' && from.roomC === 18);
  assert.equal(from.readings.length, 16);
  // What was read before its dose was in, or after it was poured, is no cooling of that jug.
  const early = readings.map((each) => ({ ...each, at: new Date(0).toISOString() }));
  assert.deepEqual(lessonsOf(bench.run(), early), []);

  const [unread] = lessonsOf(benchAt('r1/A/l1/pour').run(), cools(benchAt('r1/A/l1/pour'), 1.3, 16));
  assert.ok(unread?.of === 'jug' && !unread.taught.success && unread.taught.error.code === 'room-not-read');
});

test('a touch teaches the mold where it was not yet shortly before, or where it carried sooner than thought', () => {
  const touched = (...touches: [atMin: number, carries: boolean][]) => {
    const bench = benchAt('r1/A/l1/pour', ROOM);
    doNext(bench);
    const fromMs = bench.see().tasks.find(({ id }) => id === 'r1/A/l1/pour')?.fromMs ?? 0;
    for (const [atMin, carries] of touches) {
      bench.until(fromMs + atMin * MIN);
      bench.event({ kind: 'touched', taskId: 'r1/A/skin', carries });
    }
    return lessonsOf(bench.run(), []).filter(({ of }) => of === 'mold');
  };
  const [between] = touched([8, false], [12.5, true]);
  assert.ok(between?.of === 'mold' && between.taught.success);
  const { from, scale, spread } = between.taught.data;
  // The middle of 8 and 12.5 min by ratio is 10 min, and it may be off by ln(12.5 / 8) / √12 beside the finger's 0.12.
  assert.ok(from.is === 'touch' && isClose(from.carriedS, 600, 1e-9));
  assert.ok(isClose(spread, Math.hypot(0.12, Math.log(12.5 / 8) / Math.sqrt(12)), 1e-9));
  assert.ok(scale < 1);
  // It carried long ago, for all anybody knows.
  assert.deepEqual(touched([60, true]), []);
  const [sooner] = touched([3, true]);
  assert.ok(sooner?.of === 'mold' && sooner.taught.success && sooner.taught.data.scale > 1);
});

test('drops that were counted onto a scale teach the bottle, unless they were corrected since', () => {
  const bench = benchAt('r1/A/l1/dose-1', ROOM);
  const taskId = 'r1/A/l1/dose-1';
  bench.event({ kind: 'weighed', taskId, massG: 1.24, count: 40 });
  const counts = () => lessonsOf(bench.run(), []).filter(({ of }) => of === 'count');
  const [lesson] = counts();
  assert.ok(lesson?.of === 'count');
  assert.deepEqual(lesson.reading, { of: 'drops', on: '2026-03-01', count: 40, massG: 1.24, runId: 'run-1' });
  bench.event({ kind: 'corrected', taskId, massG: 1.3 });
  assert.deepEqual(counts(), []);
});

test('a dose that went in otherwise is offered to the plan, and one that a hand was near to is not', () => {
  const taskId = 'r1/A/l1/dose-1';
  const dosed = (times: number) => {
    const bench = benchAt(taskId, ROOM);
    bench.event({ kind: 'weighed', taskId, massG: (bench.so().inHand?.targetG ?? 0) * times });
    return lessonsOf(bench.run(), []).filter(({ of }) => of === 'dose');
  };
  assert.deepEqual(dosed(1.03), []);
  const [lesson] = dosed(1.5);
  const line = sheet.pours[0]?.lines[0];
  assert.ok(lesson?.of === 'dose' && line);
  assert.deepEqual([lesson.planId, lesson.doseId, lesson.letter], ['plan-1', line.doseId, 'A']);
  assert.ok(isClose(lesson.ofBase, line.ofBase * 1.5, 1e-9) && isClose(lesson.wasOfBase, line.ofBase, 1e-9));
  // It is typed to three figures, and read again as that share.
  const means = parseQuantity(doseText(0.005236));
  assert.ok(means.success && means.data.kind === 'ofBase');
  assert.equal(doseText(0.005236), '0.524 %');
});

test('what stayed in the jugs teaches the loss: their sum over the sum of what was in them', () => {
  const bench = benchAt('r1/A/l1/pour', ROOM);
  const inJug = () =>
    ['r1/A/l1/base', 'r1/A/l1/dose-1'].reduce(
      (sum, id) => sum + (bench.so().tasks.find((task) => task.id === id)?.actualG ?? 0),
      0,
    );
  bench.event({ kind: 'done', taskId: 'r1/A/l1/pour', leftG: inJug() * 0.04 });
  const [lesson] = lessonsOf(bench.run(), []);
  assert.ok(lesson?.of === 'loss' && isClose(lesson.fraction, 0.04, 1e-9));
  assert.deepEqual([lesson.jugs, lesson.spread, lesson.wasFraction], [1, null, sheet.jugLossFraction]);
  // With a tenth more base than the pour takes, what stays is no loss.
  const more = benchAt('r1/A/l1/base', ROOM);
  const { targetG } = more.so().inHand ?? {};
  more.event({ kind: 'weighed', taskId: 'r1/A/l1/base', massG: (targetG ?? 0) * 1.1 });
  while (more.so().inHand?.id !== 'r1/A/l1/pour') doNext(more);
  more.event({ kind: 'done', taskId: 'r1/A/l1/pour', leftG: 20 });
  assert.deepEqual(lessonsOf(more.run(), []), []);
});
