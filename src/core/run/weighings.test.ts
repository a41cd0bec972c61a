import assert from 'node:assert/strict';
import test from 'node:test';
import { colorant, fragrance, isClose, planFile, sheetOf } from '../../../tests/support/planFiles';
import { madeRun, runOf, snapshotOf } from '../../../tests/support/runs';
import { USUAL_HOUSE_RULES } from '../houseRules/houseRules';
import type { LotStock } from '../stock/stock';
import { checkEvent } from './checkEvent';
import { logEntry } from './logEntry';
import { lotAtScale, scannedLot } from './lotAtScale';
import { moreBaseFor } from './moreBase';
import { moreOfDoses } from './moreOfDoses';
import { overshoot } from './overshoot';
import { progress } from './progress';
import type { RunEvent } from './run';

const sheet = sheetOf(
  planFile([
    {
      doses: [
        [fragrance(), '2 %'],
        [colorant(), '1 g'],
      ],
    },
  ]),
);
const BASE = 'r1/A/l1/base';
const DOSE = 'r1/A/l1/dose-1';
const { baseG } = sheet.totals;
const doseG = baseG * 0.02;
const weighed = (taskId: string, massG: number, lotId?: string): RunEvent => ({
  kind: 'weighed',
  taskId,
  massG,
  ...(lotId ? { lotId } : {}),
});
const melted: RunEvent[] = [weighed(BASE, baseG), { kind: 'done', taskId: 'r1/A/l1/melt' }];
const taskOf = (events: RunEvent[], id: string) =>
  progress(runOf(sheet, ...events)).tasks.find((task) => task.id === id);
const lot = (id: string, left: number, bestBefore: string | null = null): LotStock => ({
  ...{ id, number: `N-${id}`, left, bestBefore },
  minorPerOne: null,
});

test('a weighing is from the lot this run weighed last while it has any, else from the first to expire that has', () => {
  const tasks = progress(runOf(sheet, ...melted, weighed(DOSE, doseG, 'late'))).tasks;
  const lots = [lot('late', 5, '2028-01-01'), lot('empty', 0, '2026-01-01'), lot('soon', 5, '2027-01-01')];
  assert.equal(lotAtScale(tasks, sheet, 'scent-1', lots)?.id, 'late');
  assert.equal(lotAtScale(tasks, sheet, 'scent-1', [lot('late', 0), ...lots.slice(1)])?.id, 'soon');
  assert.equal(lotAtScale(progress(runOf(sheet)).tasks, sheet, 'scent-1', lots)?.id, 'soon');
  assert.equal(lotAtScale(tasks, sheet, 'scent-1', [lot('empty', 0)])?.id, 'empty');
  assert.equal(lotAtScale(tasks, sheet, 'scent-1', []), null);
});

test('the number of a lot is told from a weight', () => {
  const lots = [lot('a', 1), { ...lot('b', 1), number: '2611' }];
  assert.equal(scannedLot(' n-A ', lots, null, 10)?.id, 'a');
  assert.equal(scannedLot('2611', lots, 2611, 10)?.id, 'b');
  assert.equal(scannedLot('2611', lots, 2611, 2600), null);
  assert.equal(scannedLot('12', lots, 12, 10), null);
});

test('what was weighed is added to before its pour, corrected at any time, and each is taken back', () => {
  const ticked = [...melted, weighed(DOSE, doseG)];
  const added: RunEvent = { kind: 'added', taskId: DOSE, massG: 2 };
  const corrected: RunEvent = { kind: 'corrected', taskId: DOSE, massG: 3, note: 'misread' };
  const undone: RunEvent = { kind: 'undone', taskId: DOSE };
  assert.equal(taskOf([...ticked, added], DOSE)?.actualG, doseG + 2);
  const both = taskOf([...ticked, added, corrected], DOSE);
  assert.deepEqual([both?.actualG, both?.tickedG, both?.note], [3, doseG, 'misread']);
  assert.equal(taskOf([...ticked, added, corrected, undone], DOSE)?.actualG, doseG + 2);
  assert.equal(taskOf([...ticked, added, undone], DOSE)?.tickedG, null);
  assert.equal(taskOf([...ticked, added, undone, undone], DOSE)?.doneAt, null);
  const refused = (events: RunEvent[], event: RunEvent) => {
    const checked = checkEvent(runOf(sheet, ...events), event);
    return checked.success ? 'taken' : checked.error.code;
  };
  const poured: RunEvent[] = [
    ...ticked,
    weighed('r1/A/l1/dose-2', 1),
    { kind: 'done', taskId: 'r1/A/l1/pour' },
  ];
  assert.equal(refused(melted, added), 'not-done-yet');
  assert.equal(refused(poured, added), 'already-poured');
  assert.equal(refused(poured, corrected), 'taken');
  assert.equal(refused(ticked, { ...added, taskId: BASE }), 'not-a-weighing');
  assert.equal(refused(ticked, { ...corrected, taskId: 'r1/A/l1/melt' }), 'not-a-weighing');
});

test('too much of a dose is told with the base that makes it right, and what is near enough is not', () => {
  const { tasks } = progress(runOf(sheet, ...melted));
  const task = tasks.find(({ id }) => id === DOSE);
  assert.ok(task);
  const of = (massG: number) => overshoot(snapshotOf(sheet), tasks, task, massG, USUAL_HOUSE_RULES);
  const over = of(doseG * 1.3);
  assert.ok(isClose(over?.overG ?? 0, doseG * 0.3));
  assert.ok(isClose(over?.moreBaseG ?? 0, baseG * 0.3));
  assert.equal(of(doseG * 1.01), null);
  assert.equal(of(doseG * 0.5), null);
});

test('before it is poured, colours may be added to, and doses that more base left short', () => {
  const events = [...melted, weighed(DOSE, doseG), weighed('r1/A/l1/dose-2', 1)];
  const more = (...then: RunEvent[]) => {
    const { tasks } = progress(runOf(sheet, ...events, ...then));
    const pour = tasks.find(({ kind }) => kind === 'pour');
    assert.ok(pour);
    return moreOfDoses(pour, tasks, sheet).map(({ task, shortG }) => [task.id, shortG]);
  };
  assert.deepEqual(more(), [['r1/A/l1/dose-2', null]]);
  const topped = more(
    { kind: 'topped-up', taskId: BASE, massG: baseG * 0.1 },
    weighed(`${BASE}+1`, baseG * 0.1),
  );
  assert.deepEqual(
    topped.map(([id, shortG]) => [id, Number(Number(shortG).toFixed(6))]),
    [
      ['r1/A/l1/dose-2', 0.1],
      [DOSE, Number((doseG * 0.1).toFixed(6))],
    ],
  );
  assert.deepEqual(more({ kind: 'done', taskId: 'r1/A/l1/pour' }), []);
});

test('more may be melted into a jug from when its base is weighed until any of it is poured', () => {
  const may = (...events: RunEvent[]) => {
    const run = runOf(sheet, ...events);
    const { tasks } = progress(run);
    const pour = tasks.find(({ kind }) => kind === 'pour');
    assert.ok(pour);
    return moreBaseFor(run.snapshot, tasks, pour);
  };
  assert.equal(may(), null);
  assert.equal(may(...melted), BASE);
  const poured: RunEvent = { kind: 'done', taskId: 'r1/A/l1/pour' };
  assert.equal(may(...melted, weighed(DOSE, doseG), weighed('r1/A/l1/dose-2', 1), poured), null);
});

test('the log tells each pour: how warm, how many cavities, and what stayed of its jug', () => {
  const { events } = madeRun(sheet);
  const said = events.map((each) =>
    each.event.kind === 'done' && each.event.taskId === 'r1/A/l1/pour'
      ? { ...each, event: { ...each.event, tempC: 56.2, cavities: 5.5, leftG: 12.5 } }
      : each,
  );
  const { pours, weights } = logEntry({ ...runOf(sheet), events: said });
  const jugG = weights.reduce((sum, { actualG }) => sum + actualG, 0);
  assert.equal(pours.length, 1);
  const [pour] = pours;
  assert.deepEqual([pour?.pourLetters, pour?.tempC, pour?.cavities, pour?.leftG], [['A'], 56.2, 5.5, 12.5]);
  assert.ok(isClose(pour?.leftFraction ?? 0, 12.5 / jugG));
  const nothingSaid = logEntry({ ...runOf(sheet), events });
  assert.deepEqual([nothingSaid.pours[0]?.tempC, nothingSaid.pours[0]?.leftFraction], [null, null]);
});
