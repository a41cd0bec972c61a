import assert from 'node:assert/strict';
import test from 'node:test';
import type { Embed } from '../../src/core/plan/embed';
import type { Plan } from '../../src/core/plan/plan';
import { logPage } from '../../src/server/log';
import { createPlan, duplicatePlan, findPlan } from '../../src/server/plans';
import { moldsOffered, plansPutAway, setStanding, standingOf } from '../../src/server/putAway';
import { findRun, recordEvent } from '../../src/server/runs';
import { startRun } from '../../src/server/startRun';
import { firstPlan } from '../../src/server/views';
import { pieces, planFile } from '../support/planFiles';
import { nextEvent } from '../support/runs';
import { problemFrom, workshopWith } from '../support/workshops';

const file = planFile([{}]);
const names = (plans: readonly { plan: Plan }[]) => plans.map(({ plan }) => plan.name);

test('an archived plan is out of the lists and whole; a deleted one is gone, and comes back as it was', () => {
  const { workshop, stored } = workshopWith(file);
  const copy = duplicatePlan(workshop, stored.id);
  const listed = () => names(workshop.plans.page(50, 0).items);
  assert.deepEqual(listed(), ['Test plan (copy)', 'Test plan']);
  setStanding(workshop, 'plan', stored.id, 'archived');
  assert.deepEqual([listed(), workshop.plans.page(50, 0).total], [['Test plan (copy)'], 1]);
  assert.deepEqual([workshop.plans.page(50, 0, 'test').total, workshop.plans.all().length], [1, 2]);
  assert.deepEqual(findPlan(workshop, stored.id), stored);

  setStanding(workshop, 'plan', copy.id, 'deleted');
  assert.deepEqual([listed(), names(workshop.plans.all())], [[], ['Test plan']]);
  assert.equal(problemFrom(() => findPlan(workshop, copy.id)).status, 404);
  assert.deepEqual(
    plansPutAway(workshop).map(({ name, state }) => [name, state]),
    [
      ['Test plan (copy)', 'deleted'],
      ['Test plan', 'archived'],
    ],
  );
  for (const { id } of [stored, copy]) setStanding(workshop, 'plan', id, 'shown');
  assert.deepEqual(findPlan(workshop, copy.id), copy);
  assert.deepEqual(listed(), ['Test plan (copy)', 'Test plan']);
});

test('a plan that a run or another plan rests on is archived, never deleted; the reason names them', async () => {
  const { workshop, stored } = workshopWith(file);
  const made = duplicatePlan(workshop, stored.id);
  const [pour] = stored.plan.pours;
  assert.ok(pour, 'a pour');
  const outer = createPlan(workshop, {
    ...stored.plan,
    name: 'Outer',
    pours: [
      {
        ...pour,
        embeds: [{ id: 'e1', ...pieces('', { from: { is: 'plan', planId: made.id } }) } as Embed],
      },
    ],
  });
  startRun(workshop, crypto.randomUUID(), stored.id);
  const refused = (id: string) => problemFrom(() => setStanding(workshop, 'plan', id, 'deleted'));
  assert.match(refused(stored.id).detail, /A run was made by this plan.*Archive it instead/);
  assert.match(refused(made.id).detail, /set into “Outer”/);
  setStanding(workshop, 'plan', made.id, 'archived');
  setStanding(workshop, 'plan', outer.id, 'deleted');
  setStanding(workshop, 'plan', made.id, 'deleted');
  assert.equal(standingOf(workshop, 'plan', made.id), 'deleted');
});

test('what was deleted a month ago is forgotten, and nothing else', () => {
  const { workshop, stored } = workshopWith(file);
  const copy = duplicatePlan(workshop, stored.id);
  setStanding(workshop, 'plan', copy.id, 'deleted');
  setStanding(workshop, 'plan', stored.id, 'archived');
  const at = workshop.putAway.find('plan', copy.id)?.at ?? '';
  workshop.plans.forgetDeleted(at);
  assert.equal(plansPutAway(workshop).length, 2);
  workshop.plans.forgetDeleted(workshop.now());
  assert.deepEqual(
    plansPutAway(workshop).map(({ id }) => id),
    [stored.id],
  );
  assert.equal(workshop.plans.newest(copy.id), undefined);
  assert.equal(problemFrom(() => setStanding(workshop, 'plan', copy.id, 'shown')).status, 404);
});

test('a finished run leaves the Logbook and comes back; an open one stays on the bench', async () => {
  const { workshop, stored } = workshopWith(file);
  const run = startRun(workshop, crypto.randomUUID(), stored.id);
  const refused = (to: 'archived' | 'deleted') =>
    problemFrom(() => setStanding(workshop, 'run', run.id, to)).code;
  assert.equal(refused('archived'), 'run-is-open');
  for (let next = nextEvent(run); next; next = nextEvent(findRun(workshop, run.id)))
    recordEvent(workshop, run.id, crypto.randomUUID(), next);
  recordEvent(workshop, run.id, crypto.randomUUID(), {
    kind: 'finished',
    verdict: 'good',
    goodPieces: 6,
    note: 'as it should be',
  });
  assert.equal(refused('deleted'), 'only-archived');
  setStanding(workshop, 'run', run.id, 'archived');
  assert.deepEqual(
    [workshop.runs.finished().total, (await logPage(workshop, { search: 'should' })).total],
    [0, 0],
  );
  setStanding(workshop, 'run', run.id, 'shown');
  assert.equal((await logPage(workshop, { search: 'should' })).total, 1);
});

test('an archived mold is offered to no new plan, and stays with those that have it', () => {
  const { workshop, stored } = workshopWith(file);
  const { moldId } = stored.plan;
  setStanding(workshop, 'mold', moldId, 'archived');
  assert.deepEqual([moldsOffered(workshop), firstPlan(workshop)], [[], null]);
  assert.deepEqual(
    moldsOffered(workshop, [moldId]).map(({ id }) => id),
    [moldId],
  );
  assert.equal(problemFrom(() => setStanding(workshop, 'mold', 'constructor', 'archived')).status, 404);
});
