import assert from 'node:assert/strict';
import test from 'node:test';
import { additive, fragrance, isClose, planFile, sheetOf } from '../../../tests/support/planFiles';
import { logEntry } from './logEntry';
import type { RunEvent } from './run';
import { checkEvent, runState, withEvent } from './runState';

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
const at = '2026-03-01T10:00:00.000Z';
const fresh = { sheet, events: [] };

function after(...events: RunEvent[]) {
  return events.reduce((run, event) => withEvent(run, { at, event }), {
    id: 'run-1',
    planId: 'plan-1',
    planVersion: 1,
    startedAt: at,
    findings: [],
    sheet,
    events: [],
  } as Parameters<typeof logEntry>[0]);
}

const everyStep: RunEvent[] = [
  { type: 'weighed', stepId: 'A/base', massG: sheet.totals.baseG * 1.03 },
  { type: 'done', stepId: 'A/melt' },
  { type: 'weighed', stepId: 'A/dose-1', massG: 13 },
  { type: 'weighed', stepId: 'A/dose-2', massG: 6.3 },
  { type: 'done', stepId: 'A/pour' },
];
const finish: RunEvent = { type: 'finished', verdict: 'good', goodPieces: 6, note: '' };

test('the steps follow the work: base, melt, fragrance, grit last, pour', () => {
  assert.deepEqual(
    runState(fresh).steps.map(({ id }) => id),
    ['A/base', 'A/melt', 'A/dose-1', 'A/dose-2', 'A/pour'],
  );
});

test('3 % more base in the jug makes every dose 3 % more, fixed ones too', () => {
  const { steps } = runState(after({ type: 'weighed', stepId: 'A/base', massG: sheet.totals.baseG * 1.03 }));
  for (const step of steps.filter(({ kind }) => kind === 'weigh-dose')) {
    assert.ok(isClose(step.targetG ?? 0, (step.plannedG ?? 0) * 1.03));
  }
});

test('an undone weighing is open again and the doses return to the plan', () => {
  const { steps } = runState(
    after({ type: 'weighed', stepId: 'A/base', massG: 900 }, { type: 'undone', stepId: 'A/base' }),
  );
  assert.equal(steps[0]?.doneAt, null);
  assert.equal(steps[2]?.targetG, steps[2]?.plannedG);
});

test('an event that cannot be is refused with a code', () => {
  const refuse = (run: Parameters<typeof checkEvent>[0], event: RunEvent) => {
    const checked = checkEvent(run, event);
    return checked.success ? 'taken' : checked.error.code;
  };
  assert.equal(refuse(fresh, { type: 'done', stepId: 'B/melt' }), 'unknown-step');
  assert.equal(refuse(fresh, { type: 'done', stepId: 'A/base' }), 'needs-a-weight');
  assert.equal(refuse(fresh, { type: 'weighed', stepId: 'A/melt', massG: 1 }), 'not-a-weighing');
  assert.equal(refuse(fresh, { type: 'undone', stepId: 'A/melt' }), 'not-done-yet');
  assert.equal(refuse(fresh, finish), 'steps-are-open');
  const base: RunEvent = { type: 'weighed', stepId: 'A/base', massG: 900 };
  assert.equal(refuse(after(base), base), 'already-done');
  assert.equal(refuse(after(...everyStep), finish), 'taken');
  assert.equal(refuse(after(...everyStep, finish), { type: 'undone', stepId: 'A/melt' }), 'run-has-ended');
});

test('the log entry sets actual against what the base in the jug asked for', () => {
  const entry = logEntry(after(...everyStep, finish));
  assert.equal(entry.verdict, 'good');
  const [baseWeight, scent] = entry.weights;
  assert.ok(isClose(baseWeight?.deviation ?? 0, 0.03));
  assert.ok(isClose(scent?.deviation ?? 0, 13 / (sheet.totals.baseG * 1.03 * 0.02) - 1));
  assert.throws(() => logEntry(after()), RangeError);
});
