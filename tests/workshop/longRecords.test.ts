import assert from 'node:assert/strict';
import test from 'node:test';
import { progress } from '../../src/core/run/progress';
import { KeptAWhile } from '../../src/db/keptAWhile';
import { snapshotText } from '../../src/db/snapshotText';
import { importPlan } from '../../src/server/importPlan';
import { keptOfPlans } from '../../src/server/keptOfPlans';
import { planPage } from '../../src/server/planPage';
import { runsReady } from '../../src/server/runsReady';
import { startRun } from '../../src/server/startRun';
import { openWorkshop } from '../../src/server/workshop';
import { colorant, planFile } from '../support/planFiles';
import { temporaryFolder } from '../support/server';

const colours = Array.from({ length: 40 }, (_, n) => colorant({ id: `c${n}`, name: `Mica ${n}` }));
/** Twenty pours of forty doses: some two thousand tasks. */
const crowded = (pieces: number) =>
  planFile(
    Array.from({ length: 20 }, () => ({
      size: '1 part',
      doses: colours.map((colour): [typeof colour, string] => [colour, '0.02 %']),
    })),
    { pieces },
  );

test('a long run is judged elsewhere and taken over in parts: the same to the last figure, and read once', async (t) => {
  const { path, remove } = temporaryFolder();
  const first = openWorkshop(path);
  const other = openWorkshop(path);
  t.after(() => {
    first.db.close();
    other.db.close();
    remove();
  });
  const { id: planId } = importPlan(first, crowded(12));
  const run = startRun(first, crypto.randomUUID(), planId);
  assert.ok(run.snapshot.tasks.length > 1000, `${run.snapshot.tasks.length} tasks`);
  const short = startRun(first, crypto.randomUUID(), importPlan(first, planFile([{}])).id);

  assert.deepEqual([other.runs.isLongUnread(run.id), other.runs.isLongUnread(short.id)], [true, false]);
  await Promise.all([runsReady(other, [run.id, short.id]), runsReady(other, [run.id, 'none'])]);
  assert.equal(other.runs.isLongUnread(run.id), false);
  const found = other.runs.find(run.id);
  assert.ok(found);
  assert.deepEqual(found, run);
  assert.deepEqual(JSON.parse(snapshotText(found.snapshot)), JSON.parse(snapshotText(run.snapshot)));
  assert.deepEqual(progress(found).tasks.length, run.snapshot.tasks.length);
  assert.deepEqual(progress(found), progress({ snapshot: run.snapshot, events: [] }));

  // One that can't be read is left to whoever asks for it.
  first.db.exec('DROP TRIGGER run_snapshots_stay');
  first.db.prepare("UPDATE runs SET snapshot = json_remove(snapshot, '$.sheet') WHERE id = ?").run(run.id);
  await runsReady(other, [run.id]);
  assert.throws(() => other.runs.find(run.id), { name: 'BrokenRecordError' });
});

test('a page of plans is the same whether they are long or not', async () => {
  const workshop = openWorkshop(':memory:');
  for (const file of [crowded(1), planFile([{}]), crowded(2)]) importPlan(workshop, file);
  assert.equal(workshop.plans.longOnPage(10, 0).length, 2);
  assert.deepEqual(workshop.plans.longOnPage(1, 1), []);
  assert.deepEqual(workshop.plans.longOnPage(10, 0, 'no such name'), []);
  assert.deepEqual(await planPage(workshop, 10), workshop.plans.page(10, 0));
});

test('what is worked out of plans is kept by how much the plans hold, the last asked for', () => {
  const plans = [crowded(1), planFile([{}]), crowded(2)].map(({ plan }) => plan);
  const kept = keptOfPlans<{ of: string }>(1000);
  for (const plan of plans) kept.set(plan, { of: plan.name });
  assert.deepEqual(
    plans.map((plan) => kept.has(plan)),
    [false, true, true],
  );
});

test('what nobody asked for in some minutes is forgotten, also where no timer ever fires, as in a thread', (t) => {
  let now = performance.now();
  t.mock.method(performance, 'now', () => now);
  t.mock.timers.enable({ apis: ['setTimeout'] });
  const pass = (minutes: number) => {
    now += minutes * 60_000;
  };
  const kept = new KeptAWhile<string, { of: string }>({ maxSize: 3, sizeCalculation: () => 1 });
  for (const name of ['a', 'b']) kept.set(name, { of: name });
  pass(3);
  assert.equal(kept.get('a')?.of, 'a');
  pass(3);
  assert.equal(kept.size, 2);
  kept.set('c', { of: 'c' });
  assert.deepEqual([...kept.keys()].toSorted(), ['a', 'c']);
  pass(6);
  assert.equal(kept.get('a'), undefined);
  for (const name of ['d', 'e', 'f']) kept.set(name, { of: name });
  assert.deepEqual([...kept.keys()].toSorted(), ['d', 'e', 'f']);
});
