import assert from 'node:assert/strict';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import test from 'node:test';
import { pathToFileURL } from 'node:url';
import { threadsOf } from '../../src/server/compute/threads';
import workOut from '../../src/server/compute/work';
import { importPlan } from '../../src/server/importPlan';
import { openWorkshop } from '../../src/server/workshop';
import { planFile } from '../support/planFiles';
import { AT } from '../support/runs';
import { temporaryFolder } from '../support/server';

test('a thread that ends between two tasks is told in the log, and the next task has a new one', async (t) => {
  const { path, remove } = temporaryFolder();
  const file = join(path, 'work.mjs');
  writeFileSync(file, 'export default (what) => what;');
  const told = t.mock.method(console, 'error', () => {});
  const pool = threadsOf<string, string>(pathToFileURL(file), 1);
  t.after(async () => {
    await pool.destroy();
    remove();
  });
  assert.equal(await pool.run('first'), 'first');
  pool.emit('error', new Error('after its answer'));
  assert.equal(await pool.run('next'), 'next');
  assert.match(String(told.mock.calls[0]?.arguments[0]), /between two tasks: .*after its answer/);
});

test('a run is started by a connection of its own; a record that can’t be read is told as what it is', async (t) => {
  const { path: folder, remove } = temporaryFolder();
  const workshop = openWorkshop(folder);
  t.after(() => {
    workshop.db.close();
    remove();
  });
  const { id: planId } = importPlan(workshop, planFile([{}]));
  const [id, second] = [crypto.randomUUID(), crypto.randomUUID()];
  const asked = { folder, at: AT, planId, trialPieces: null };
  const started = await workOut({ name: 'startRun', input: { ...asked, id } });
  assert.ok('value' in started);
  const run = workshop.runs.find(id);
  assert.equal(run?.startedAt, AT);
  assert.deepEqual(JSON.parse(started.value), run);

  workshop.db.exec('DROP TRIGGER used_versions_stay; UPDATE plan_versions SET record = 1');
  const refused = await workOut({ name: 'startRun', input: { ...asked, id: second } });
  assert.ok('problem' in refused);
  assert.deepEqual(refused.problem.slice(0, 2), [422, 'broken-record']);
  assert.equal(workshop.runs.find(second), undefined);
});
