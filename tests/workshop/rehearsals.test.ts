import assert from 'node:assert/strict';
import test from 'node:test';
import { DARES, placeDare } from '../../src/core/rehearsal/dares';
import { practiceOf, rehearsalOf } from '../../src/server/rehearsals';
import { planFile } from '../support/planFiles';
import { AT } from '../support/runs';
import { workshopWith } from '../support/workshops';

test('each mistake can be practised on a plan that has a place for it', () => {
  for (const dare of DARES) {
    const { snapshot, events } = practiceOf(dare, AT);
    const { tasks, sheet } = snapshot;
    const at = placeDare(dare, tasks);
    const task = tasks.find(({ id }) => id === at?.taskId);
    assert.ok(task, dare);
    assert.deepEqual([events, sheet.pours.length, sheet.totals.rounds], [[], 2, 1]);
    assert.equal(tasks.filter(({ kind }) => kind === 'melt').length > 2, dare === 'small-jug', dare);
    assert.equal(
      tasks.some(({ kind }) => kind === 'freezer'),
      dare === 'long-freezer',
    );
    if (dare === 'too-hot') assert.equal(task.id, 'r1/B/l1/spritz');
    if (dare === 'too-late') assert.equal(task.id, 'r1/B/l1/pour');
  }
});

test('a rehearsal of a plan is kept nowhere', () => {
  const { workshop, stored } = workshopWith(planFile([{}]));
  const run = rehearsalOf(workshop, stored.id, 'all');
  assert.deepEqual([run.planId, run.events, workshop.runs.open().items.length], [stored.id, [], 0]);
});
