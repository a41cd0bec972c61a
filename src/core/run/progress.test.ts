import assert from 'node:assert/strict';
import test from 'node:test';
import { additive, BOX, fragrance, isClose, mold, planFile, sheetOf } from '../../../tests/support/planFiles';
import { madeRun, nextEvent, recorded, runOf } from '../../../tests/support/runs';
import { checkEvent } from './checkEvent';
import { logEntry } from './logEntry';
import { progress, withEvent } from './progress';
import type { RunEvent, RunSoFar } from './run';

const grit = additive({ id: 'grit', name: 'Grit', role: 'grit' });
const sheet = sheetOf(
  planFile([
    {
      doses: [
        [fragrance(), '2 %'],
        [grit, '6 g'],
      ],
    },
  ]),
);
const byHand = (run: RunSoFar) =>
  progress(run)
    .tasks.filter(({ hands }) => hands)
    .map(({ id }) => id);
const base = (massG: number): RunEvent => ({ kind: 'weighed', taskId: 'r1/A/l1/base', massG });
const finish: RunEvent = { kind: 'finished', verdict: 'good', goodPieces: 6, note: '' };
const taskOf = (run: RunSoFar, id: string) => progress(run).tasks.find((task) => task.id === id);

/** What comes of an event: taken, or the code it is refused with. */
const refuse = (run: RunSoFar, event: RunEvent) => {
  const checked = checkEvent(run, event);
  return checked.success ? 'taken' : checked.error.code;
};

test('the tasks follow the work: base, melt, fragrance, grit last, pour, out of the mold, wrapped', () => {
  assert.deepEqual(byHand(runOf(sheet)), [
    'r1/A/l1/base',
    'r1/A/l1/melt',
    'r1/A/l1/dose-1',
    'r1/A/l1/dose-2',
    'r1/A/l1/pour',
    'r1/unmold',
    'r1/wrap',
  ]);
});

test('3 % more base in the jug makes every dose 3 % more, fixed ones too', () => {
  const { tasks } = progress(runOf(sheet, base(sheet.totals.baseG * 1.03)));
  const doses = tasks.filter(({ kind }) => kind === 'weigh-dose');
  assert.equal(doses.length, 2);
  for (const { targetG, plannedG } of doses) assert.ok(isClose(targetG ?? 0, (plannedG ?? 0) * 1.03));
});

test('an undone weighing is open again and the doses return to the plan', () => {
  const run = runOf(sheet, base(900), { kind: 'undone', taskId: 'r1/A/l1/base' });
  assert.equal(taskOf(run, 'r1/A/l1/base')?.doneAt, null);
  const dose = taskOf(run, 'r1/A/l1/dose-1');
  assert.equal(dose?.targetG, dose?.plannedG);
});

test('an event that cannot be is refused with a code', () => {
  const fresh = runOf(sheet);
  assert.equal(refuse(fresh, { kind: 'done', taskId: 'r1/B/l1/melt' }), 'unknown-task');
  assert.equal(refuse(fresh, { kind: 'done', taskId: 'constructor' }), 'unknown-task');
  assert.equal(refuse(fresh, { kind: 'done', taskId: 'r1/A/l1/base' }), 'needs-a-weight');
  assert.equal(refuse(fresh, { kind: 'weighed', taskId: 'r1/A/l1/melt', massG: 1 }), 'not-a-weighing');
  assert.equal(refuse(fresh, { kind: 'undone', taskId: 'r1/A/l1/melt' }), 'not-done-yet');
  assert.equal(refuse(fresh, { kind: 'done', taskId: 'r1/A/skin' }), 'is-a-wait');
  assert.equal(refuse(fresh, finish), 'tasks-are-open');
  assert.equal(refuse(runOf(sheet, base(900)), base(900)), 'already-done');
  const { events, ...made } = madeRun(sheet);
  const open = { ...made, events: events.slice(0, -1) };
  assert.equal(refuse(open, finish), 'taken');
  assert.equal(refuse(madeRun(sheet), { kind: 'undone', taskId: 'r1/A/l1/melt' }), 'run-has-ended');
});

test('nothing is poured before its jug is weighed; what nothing stands before may be done out of turn', () => {
  const two = sheetOf(planFile([{ size: '8 mm' }, { size: 'rest' }], {}, BOX));
  const fresh = runOf(two);
  assert.equal(refuse(fresh, { kind: 'done', taskId: 'r1/A/l1/pour' }), 'needs-first');
  assert.deepEqual(taskOf(fresh, 'r1/A/l1/pour')?.unmet, ['r1/A/l1/melt']);
  assert.equal(refuse(fresh, { kind: 'done', taskId: 'r1/A/l1/melt' }), 'needs-first');
  // The second jug may be weighed and melted first, but not poured.
  const early = runOf(
    two,
    { kind: 'weighed', taskId: 'r1/B/l1/base', massG: 300 },
    { kind: 'done', taskId: 'r1/B/l1/melt' },
  );
  assert.equal(refuse(early, base(200)), 'taken');
  assert.deepEqual(taskOf(early, 'r1/B/l1/pour')?.unmet, ['r1/B/l1/spritz', 'r1/A/l1/pour']);
  // Alcohol goes onto what has been poured.
  assert.deepEqual(taskOf(early, 'r1/B/l1/spritz')?.unmet, ['r1/A/l1/pour']);
});

test('a run stays open until its last bar is out of the mold', () => {
  let run = runOf(sheet);
  for (let event = nextEvent(run); event; event = nextEvent(run)) {
    assert.equal(refuse(run, finish), 'tasks-are-open');
    run = withEvent(run, recorded(event));
  }
  assert.equal(
    progress(run).tasks.find(({ id }) => id === 'r1/unmold')?.doneAt,
    run.events.at(-1)?.occurredAt,
  );
  assert.equal(refuse(run, finish), 'taken');
});

test('72 pieces in 24 cavities are three weighings, three melts and three pours, each by its own base', () => {
  const many = sheetOf(
    planFile([{ doses: [[fragrance(), '2 %']] }], { pieces: 72 }, mold({ cavities: 24, capacityMl: 20 })),
  );
  const fresh = runOf(many);
  const ofKind = (kind: string) => progress(fresh).tasks.filter((task) => task.kind === kind);
  for (const kind of ['weigh-base', 'melt', 'weigh-dose', 'pour', 'unmold'])
    assert.equal(ofKind(kind).length, 3, kind);
  const weighed = ofKind('weigh-base').map(({ plannedG }) => plannedG ?? 0);
  for (const each of weighed) assert.ok(isClose(each, many.totals.baseG / 3));
  // 5 % more in the first round is 5 % more of its fragrance, and nothing to the second.
  const run = runOf(many, base((weighed[0] ?? 0) * 1.05));
  const doses = progress(run).tasks.filter(({ kind }) => kind === 'weigh-dose');
  assert.deepEqual(
    doses.map(({ targetG, plannedG }) => Number(((targetG ?? 0) / (plannedG ?? 1)).toFixed(6))),
    [1.05, 1, 1],
  );
  // The mold is wiped before it is filled again.
  assert.ok(taskOf(fresh, 'r2/A/l1/pour')?.unmet.includes('r1/wash'));
  const entry = logEntry(madeRun(many));
  assert.deepEqual(
    entry.weights.map(({ round }) => round),
    [1, 1, 2, 2, 3, 3],
  );
});

test('the last round makes what is left, and weighs no more than that', () => {
  const odd = sheetOf(planFile([{}], { pieces: 8 }));
  const weights = progress(runOf(odd)).tasks.filter(({ kind }) => kind === 'weigh-base');
  assert.deepEqual(
    weights.map(({ plannedG }) => Number(((plannedG ?? 0) / odd.totals.baseG).toFixed(6))),
    [0.75, 0.25],
  );
});

test('the log entry sets actual against what the base in the jug asked for', () => {
  const events: RunEvent[] = [
    base(sheet.totals.baseG * 1.03),
    { kind: 'done', taskId: 'r1/A/l1/melt' },
    { kind: 'weighed', taskId: 'r1/A/l1/dose-1', massG: 13 },
    { kind: 'weighed', taskId: 'r1/A/l1/dose-2', massG: 6.3 },
    { kind: 'done', taskId: 'r1/A/l1/pour' },
    { kind: 'done', taskId: 'r1/unmold' },
    finish,
  ];
  const entry = logEntry(runOf(sheet, ...events));
  assert.equal(entry.verdict, 'good');
  const [baseWeight, scent] = entry.weights;
  assert.ok(isClose(baseWeight?.deviation ?? 0, 0.03));
  assert.ok(isClose(scent?.deviation ?? 0, 13 / (sheet.totals.baseG * 1.03 * 0.02) - 1));
  assert.throws(() => logEntry(runOf(sheet)), RangeError);
});
