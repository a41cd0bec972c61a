import assert from 'node:assert/strict';
import test from 'node:test';
import { seed } from '../../demo/seed';
import { reviewPlan } from '../../src/core/checks/review';
import { logEntry } from '../../src/core/run/logEntry';
import type { RunEvent } from '../../src/core/run/run';
import { runState } from '../../src/core/run/runState';
import { planFileOf } from '../../src/server/planFile';
import { savePlan } from '../../src/server/plans';
import { saveRecord } from '../../src/server/records';
import { findRun, recordEvent, startRun } from '../../src/server/runs';
import { base, fragrance, planFile } from '../support/planFiles';
import { emptyWorkshop, problemFrom, workshopWith } from '../support/workshops';

const file = planFile([{ doses: [[fragrance(), '2 %']] }]);
const newId = () => crypto.randomUUID();

function started(over = file) {
  const { workshop, stored } = workshopWith(over);
  return { workshop, stored, run: startRun(workshop, newId(), stored.id) };
}

test('the same start sent twice is one run; the same tick sent twice happens once', () => {
  const { workshop, stored, run } = started();
  assert.equal(startRun(workshop, run.id, stored.id).id, run.id);
  assert.equal(workshop.runs.open().length, 1);
  const eventId = newId();
  const event: RunEvent = { type: 'weighed', stepId: 'A/base', massG: 640 };
  recordEvent(workshop, run.id, eventId, event);
  recordEvent(workshop, run.id, eventId, event);
  assert.equal(findRun(workshop, run.id).events.length, 1);
});

test('the sheet of a run does not follow the plan or the shelf', () => {
  const { workshop, stored, run } = started();
  saveRecord(workshop.materials, 'material', base({ densityGPerMl: 1.5 }), 1, workshop.now());
  savePlan(workshop, stored.id, { ...stored.plan, pieces: 60 }, stored.revision);
  assert.deepEqual(findRun(workshop, run.id).sheet, run.sheet);
});

test('a plan with a stop stays off the bench and says which', () => {
  const { workshop, stored } = workshopWith(
    planFile([{ doses: [[fragrance({ skin: 'not-released' }), '1 %']] }]),
  );
  const problem = problemFrom(() => startRun(workshop, newId(), stored.id));
  assert.deepEqual([problem.status, problem.code], [409, 'plan-has-stops']);
  assert.equal(workshop.runs.open().length, 0);
});

test('from the first tick to the Logbook, with a mistake undone on the way', () => {
  const { workshop, run } = started();
  const tick = (event: RunEvent) => recordEvent(workshop, run.id, newId(), event);
  tick({ type: 'weighed', stepId: 'A/base', massG: 60 });
  tick({ type: 'undone', stepId: 'A/base' });
  tick({ type: 'weighed', stepId: 'A/base', massG: run.sheet.totals.baseG });
  tick({ type: 'done', stepId: 'A/melt' });
  tick({ type: 'weighed', stepId: 'A/dose-1', massG: 12 });
  const early = problemFrom(() => tick({ type: 'finished', verdict: 'good', goodPieces: 6, note: '' }));
  assert.equal(early.code, 'steps-are-open');
  tick({ type: 'done', stepId: 'A/pour' });
  const finished = tick({ type: 'finished', verdict: 'fair', goodPieces: 5, note: 'one broke' });
  assert.equal(workshop.runs.open().length, 0);
  assert.deepEqual(workshop.runs.finished().map(logEntry), [logEntry(finished)]);
  assert.equal(problemFrom(() => tick({ type: 'undone', stepId: 'A/pour' })).code, 'run-has-ended');
});

test('a run that is given up leaves the bench and is not in the Logbook', () => {
  const { workshop, run } = started();
  recordEvent(workshop, run.id, newId(), { type: 'abandoned', note: '' });
  assert.deepEqual([workshop.runs.open().length, workshop.runs.finished().length], [0, 0]);
});

test('the invented workshop: every plan has a sheet and no stop, two runs and more are logged, one is on the bench', () => {
  const workshop = emptyWorkshop();
  seed(workshop, new Date('2026-06-01T12:00:00Z'));
  for (const { plan } of workshop.plans.all()) {
    const { sheet, findings } = reviewPlan(planFileOf(workshop, plan));
    assert.ok(sheet, plan.name);
    assert.deepEqual(
      findings.filter(({ severity }) => severity === 'stop'),
      [],
      plan.name,
    );
  }
  assert.ok(workshop.runs.finished().length >= 2);
  const [onBench] = workshop.runs.open();
  assert.ok(onBench && runState(onBench).steps.some(({ doneAt }) => doneAt !== null));
});
