import assert from 'node:assert/strict';
import test from 'node:test';
import { seed } from '../../demo/seed';
import { reviewPlan } from '../../src/core/checks/review';
import { readBatchCode } from '../../src/core/run/batchCode';
import { logEntry } from '../../src/core/run/logEntry';
import { progress } from '../../src/core/run/progress';
import type { RunEvent } from '../../src/core/run/run';
import { saveHouseRules } from '../../src/server/houseRules';
import { logPage } from '../../src/server/log';
import { planFileOf } from '../../src/server/planFile';
import { createPlan, savePlan } from '../../src/server/plans';
import { saveRecord } from '../../src/server/records';
import { runJson } from '../../src/server/runJson';
import { findRun, recordEvent } from '../../src/server/runs';
import { startRun } from '../../src/server/startRun';
import { base, fragrance, planFile } from '../support/planFiles';
import { makeInWorkshop } from '../support/runs';
import { emptyWorkshop, problemFrom, workshopWith } from '../support/workshops';

const file = planFile([{ doses: [[fragrance(), '2 %']] }]);
const newId = () => crypto.randomUUID();

async function started(over = file) {
  const { workshop, stored } = workshopWith(over);
  return { workshop, stored, run: startRun(workshop, newId(), stored.id) };
}

test('the same start sent twice is one run; the same tick sent twice happens once', async () => {
  const { workshop, stored, run } = await started();
  assert.equal(startRun(workshop, run.id, stored.id).id, run.id);
  assert.equal(workshop.runs.open().total, 1);
  const eventId = newId();
  const event: RunEvent = { kind: 'weighed', taskId: 'r1/A/l1/base', massG: 640 };
  recordEvent(workshop, run.id, eventId, event);
  recordEvent(workshop, run.id, eventId, event);
  assert.equal(findRun(workshop, run.id).events.length, 1);

  // An id that stands for something else already is no repetition.
  const other = problemFrom(() => recordEvent(workshop, run.id, eventId, { ...event, massG: 641 }));
  assert.deepEqual([other.status, other.code], [409, 'id-taken']);
  const second = createPlan(workshop, { ...stored.plan, name: 'Second' });
  assert.equal(problemFrom(() => startRun(workshop, run.id, second.id)).code, 'id-taken');
  assert.equal(findRun(workshop, run.id).events.length, 1);
});

test('a run is the same object until something happens to it, so that where it stands is told once', async () => {
  const { workshop, run: begun } = await started();
  const run = findRun(workshop, begun.id);
  assert.equal(findRun(workshop, run.id), run);
  assert.equal(workshop.runs.open().items[0], run);
  assert.equal(progress(run), progress(findRun(workshop, run.id)));

  const taskId = 'r1/A/l1/base';
  const weighed = recordEvent(workshop, run.id, newId(), { kind: 'weighed', taskId, massG: 640 });
  assert.equal(findRun(workshop, run.id), weighed);
  assert.equal(progress(run).tasks.find(({ id }) => id === taskId)?.actualG, null);
  assert.equal(progress(weighed).tasks.find(({ id }) => id === taskId)?.actualG, 640);
  assert.deepEqual(JSON.parse(await runJson(weighed)), JSON.parse(JSON.stringify(weighed)));
});

test('more runs than anybody looks through stay the same objects while they are on the bench, not once they have ended', () => {
  const { workshop, stored } = workshopWith(file);
  const { runs } = workshop;
  const MANY = 130;
  const begun = startRun(workshop, newId(), stored.id);
  const open = Array.from({ length: MANY }, () => ({ ...begun, id: newId(), code: null }));
  for (const run of open) runs.insert(run);
  const all = () => open.map(({ id }) => findRun(workshop, id));
  const first = all();
  assert.ok(all().every((run, place) => run === first[place]));
  for (const { id } of open) runs.end(id, 'abandoned', '2026-01-01T00:00:00.000Z', '');
  const last = open.at(-1)?.id ?? '';
  // The ending is no event: what was known of it is still so.
  assert.equal(findRun(workshop, last), first.at(-1));
  const ended = all();
  assert.deepEqual(ended, first);
  assert.notEqual(findRun(workshop, open[0]?.id ?? ''), ended[0]);
});

test('what a run rests on does not follow the plan or the shelf', async () => {
  const { workshop, stored, run } = await started();
  saveRecord(workshop.materials, 'material', base({ densityGPerMl: 1.5 }), 1, workshop.now());
  savePlan(workshop, stored.id, { ...stored.plan, pieces: 60 }, stored.revision);
  assert.deepEqual(findRun(workshop, run.id).snapshot, run.snapshot);
});

test('a plan with a stop stays off the bench and says which', async () => {
  const { workshop, stored } = workshopWith(
    planFile([{ doses: [[fragrance({ skin: 'not-released' }), '1 %']] }]),
  );
  const problem = problemFrom(() => startRun(workshop, newId(), stored.id));
  assert.deepEqual([problem.status, problem.code], [409, 'plan-has-stops']);
  assert.equal(workshop.runs.open().total, 0);
});

test('from the first tick to the Logbook, with a mistake undone on the way', async () => {
  const { workshop, run } = await started();
  const tick = (event: RunEvent) => recordEvent(workshop, run.id, newId(), event);
  tick({ kind: 'weighed', taskId: 'r1/A/l1/base', massG: 60 });
  tick({ kind: 'undone', taskId: 'r1/A/l1/base' });
  tick({ kind: 'weighed', taskId: 'r1/A/l1/base', massG: run.snapshot.sheet.totals.baseG });
  tick({ kind: 'done', taskId: 'r1/A/l1/melt' });
  tick({ kind: 'weighed', taskId: 'r1/A/l1/dose-1', massG: 12 });
  const early = problemFrom(() => tick({ kind: 'finished', verdict: 'good', goodPieces: 6, note: '' }));
  assert.equal(early.code, 'tasks-are-open');
  tick({ kind: 'done', taskId: 'r1/A/l1/pour' });
  tick({ kind: 'done', taskId: 'r1/unmold' });
  const finished = tick({ kind: 'finished', verdict: 'fair', goodPieces: 5, note: 'one broke' });
  assert.equal(workshop.runs.open().total, 0);
  assert.deepEqual(workshop.runs.finished().items.map(logEntry), [logEntry(finished)]);
  assert.equal(problemFrom(() => tick({ kind: 'undone', taskId: 'r1/A/l1/pour' })).code, 'run-has-ended');
});

test('a run that is given up leaves the bench and is not in the Logbook', async () => {
  const { workshop, run } = await started();
  recordEvent(workshop, run.id, newId(), { kind: 'abandoned', note: '' });
  assert.deepEqual([workshop.runs.open().total, workshop.runs.finished().total], [0, 0]);
});

test('a run is read on from its last event; one that was taken back with its transaction is in no run', async () => {
  const { workshop, run } = await started();
  const taskId = 'r1/A/l1/base';
  const weigh = (massG: number) => recordEvent(workshop, run.id, newId(), { kind: 'weighed', taskId, massG });
  const correct = (massG: number) =>
    recordEvent(workshop, run.id, newId(), { kind: 'corrected', taskId, massG });
  const masses = () => findRun(workshop, run.id).events.map(({ event }) => 'massG' in event && event.massG);
  const takenBack = (record: (massG: number) => unknown, massG: number) =>
    assert.throws(
      workshop.db.transaction(() => {
        record(massG);
        assert.equal(masses().at(-1), massG);
        throw new Error('taken back');
      }),
      /taken back/,
    );
  takenBack(weigh, 640);
  assert.deepEqual(masses(), []);
  weigh(641);
  takenBack(correct, 642);
  const { events } = correct(643);
  assert.deepEqual(masses(), [641, 643]);
  // What was told by an event holds on as long as it is the same object.
  assert.equal(correct(644).events[0], events[0]);
});

test('the invented workshop: every plan has a sheet and no stop, two runs and more are logged, one is on the bench', async () => {
  const workshop = emptyWorkshop();
  await seed(workshop, new Date('2026-06-01T12:00:00Z'));
  for (const { plan } of workshop.plans.all()) {
    const { sheet, findings } = reviewPlan(planFileOf(workshop, plan));
    assert.ok(sheet, plan.name);
    assert.deepEqual(
      findings.filter(({ severity }) => severity === 'stop'),
      [],
      plan.name,
    );
  }
  assert.ok(workshop.runs.finished().total >= 2);
  const [onBench] = workshop.runs.open().items;
  assert.ok(onBench && progress(onBench).tasks.some(({ doneAt }) => doneAt !== null));
});

test('a finding of a run that can’t be read costs itself only', async () => {
  const { workshop, stored } = workshopWith(planFile([{}]));
  const { id, snapshot } = startRun(workshop, crypto.randomUUID(), stored.id);
  workshop.db.exec(
    `DROP TRIGGER run_snapshots_stay;
     UPDATE runs SET snapshot = json_set(snapshot, '$.findings[#]', json('{"code":"odd"}')) WHERE id = '${id}'`,
  );
  assert.deepEqual(findRun(workshop, id).snapshot, snapshot);
});

test('each run has a code of its day and its number, with a letter that checks it, and is found by it', async () => {
  const { workshop, stored, run } = await started();
  const second = startRun(workshop, newId(), stored.id);
  const codes = [run.code, second.code].map(String);
  for (const [place, code] of codes.entries()) {
    assert.match(code, new RegExp(`^\\d{6}-${place + 1}[A-Z]$`));
    assert.equal(readBatchCode(code), code);
  }
  assert.equal(findRun(workshop, second.id).code, second.code);
  const made = await makeInWorkshop(workshop, stored.id);
  assert.deepEqual(
    (await logPage(workshop, { search: String(made.code) })).items.map(({ runId }) => runId),
    [made.id],
  );
  // Where the house wants no day on its bars, they are counted through the year.
  const { item, revision } = workshop.houseRules.read();
  saveHouseRules(workshop, { ...item, batchCode: 'year' }, revision);
  const ofYear = startRun(workshop, newId(), stored.id);
  assert.match(String(ofYear.code), /^\d\d-1[A-Z]$/);
  assert.equal(startRun(workshop, newId(), stored.id).code?.slice(0, 4), `${ofYear.code?.slice(0, 3)}2`);
});

test('a trial is of fewer pieces, is marked, and of no more than the plan has', async () => {
  const { workshop, stored } = await started();
  const trial = startRun(workshop, newId(), stored.id, 2);
  assert.deepEqual([trial.snapshot.sheet.pieces, trial.snapshot.isTrial], [2, true]);
  const { code, more } = problemFrom(() => startRun(workshop, newId(), stored.id, stored.plan.pieces + 1));
  assert.deepEqual([code, more.errors?.[0]?.path], ['invalid-field', 'trialPieces']);
});
