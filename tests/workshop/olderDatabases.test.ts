import assert from 'node:assert/strict';
import { join } from 'node:path';
import test from 'node:test';
import Database from 'better-sqlite3';
import { logEntry } from '../../src/core/run/logEntry';
import { progress } from '../../src/core/run/progress';
import { snapshotSchema } from '../../src/core/run/snapshot';
import { weighedG } from '../../src/core/run/weighedG';
import { sectionOf } from '../../src/core/section/section';
import { logPage } from '../../src/server/log';
import { recordEvent } from '../../src/server/runs';
import { planView } from '../../src/server/views';
import { openWorkshop } from '../../src/server/workshop';
import { allFindingWords } from '../../src/words/en/findings/findingWords';
import { taskSentence } from '../../src/words/en/work/taskSentence';
import { OLDER_STEPS, writeOlderDatabase } from '../support/olderDatabases';
import { isClose, namedBy } from '../support/planFiles';
import { nextEvent } from '../support/runs';
import { temporaryFolder } from '../support/server';

const describeFinding = await allFindingWords();

const METRIC = { system: 'metric', locale: 'en' } as const;

/** What the file itself says was weighed, summed without any code of the product. */
function weighedInFile(folder: string): Map<string, number> {
  const db = new Database(join(folder, 'workshop.sqlite'), { readonly: true });
  const rows = db.prepare('SELECT run_id, event FROM run_events').all() as {
    run_id: string;
    event: string;
  }[];
  db.close();
  const sums = new Map<string, number>();
  for (const { run_id, event } of rows) {
    const { massG = 0 } = JSON.parse(event) as { massG?: number };
    sums.set(run_id, (sums.get(run_id) ?? 0) + massG);
  }
  return sums;
}

for (const step of OLDER_STEPS)
  test(`a workshop of step ${step} is read whole, with a run in the middle and one that is finished`, async (t) => {
    const folder = temporaryFolder();
    t.after(() => folder.remove());
    writeOlderDatabase(folder.path, step);
    const weighed = weighedInFile(folder.path);
    const workshop = openWorkshop(folder.path);
    t.after(() => workshop.db.close());

    const broken = [
      ...workshop.materials.broken(),
      ...workshop.molds.broken(),
      ...workshop.plans.broken(),
      ...workshop.lots.broken(),
      ...workshop.runs.open().broken,
      ...workshop.runs.finished().broken,
    ];
    assert.deepEqual(broken, []);
    const versions = workshop.plans.all().flatMap(({ id }) => workshop.plans.versions(id));
    assert.deepEqual(new Set(workshop.plans.materialsNamed()), namedBy(versions.map(({ plan }) => plan)));
    for (const stored of workshop.plans.all()) {
      const view = await planView(workshop, stored);
      assert.equal(view.fault, null);
      assert.ok(view.sheet);
    }
    const [open] = workshop.runs.open().items;
    const [finished] = workshop.runs.finished().items;
    assert.ok(open && finished);
    for (const run of [open, finished]) {
      const { snapshot } = run;
      // From step 6 on a run rests on the tasks that were frozen when it began.
      assert.equal(snapshot.isDerived, step < 6);
      assert.equal(new Set(snapshot.findings.map(({ id }) => id)).size, snapshot.findings.length);
      assert.ok(snapshotSchema.safeParse(JSON.parse(JSON.stringify(snapshot))).success);
      assert.ok(sectionOf(snapshot.sheet));
      assert.ok(isClose(weighedG(run), weighed.get(run.id) ?? 0));
      for (const task of snapshot.tasks)
        assert.ok(taskSentence(task, snapshot.sheet, snapshot.rules, METRIC).length > 0);
      for (const finding of snapshot.findings) assert.ok(describeFinding(finding, METRIC).title.length > 0);
    }
    const { tasks, inHand } = progress(open);
    assert.deepEqual(
      tasks.filter(({ doneAt }) => doneAt !== null).map(({ id }) => id),
      ['r1/A/l1/base', 'r1/A/l1/melt', 'r1/A/l1/dose-1'],
    );
    assert.ok(inHand);
    const entry = logEntry(finished);
    assert.equal(entry.verdict, 'fair');
    // Every weighing of the run is in its log, also what was weighed for all rounds at once.
    assert.equal(
      entry.weights.length,
      finished.events.filter(({ event }) => event.kind === 'weighed').length,
    );
    assert.ok(entry.weights.every(({ deviation }) => Math.abs(deviation) < 0.03));

    if (step === 7) {
      // Lots of a material with a price as a number, jugs and scales among the house rules.
      const lot = workshop.lots.find('lot-base')?.item;
      assert.deepEqual([lot?.item, lot?.price], [{ kind: 'material', id: 'base-1' }, '12.35']);
      const { jugs, scales, cutStepG } = workshop.rules();
      assert.deepEqual(
        jugs.map(({ name, holdsMl }) => [name, holdsMl]),
        [
          ['Jug', 900],
          ['Jug', 1500],
        ],
      );
      assert.deepEqual([scales.length, cutStepG], [1, 10]);
      assert.deepEqual(finished.snapshot.tasks[0]?.jugs, [{ id: 'Jug', name: 'Jug' }]);
      const taken = workshop.lots.entriesOfRun('run-done').map(({ lotId }) => lotId);
      assert.deepEqual(new Set(taken), new Set(['lot-base', 'lot-scent']));
    }

    // It goes on where it was, to its end.
    let run = open;
    for (let event = nextEvent(run); event; event = nextEvent(run))
      run = recordEvent(workshop, run.id, crypto.randomUUID(), event);
    recordEvent(workshop, run.id, crypto.randomUUID(), {
      kind: 'finished',
      verdict: 'good',
      goodPieces: 9,
      note: 'gone on with',
    });
    assert.equal((await logPage(workshop, { search: 'GONE on' })).items.length, 1);
    assert.equal(workshop.runs.finished().total, 2);
  });

test('a record that is damaged costs itself only, and says what is wrong with it', (t) => {
  const folder = temporaryFolder();
  t.after(() => folder.remove());
  writeOlderDatabase(folder.path, 5);
  const workshop = openWorkshop(folder.path);
  t.after(() => workshop.db.close());
  const materials = workshop.materials.all().length;
  workshop.db.exec(`
    UPDATE materials SET record = json_set(record, '$.densityGPerMl', 'heavy') WHERE id = 'grit';
    DROP TRIGGER run_snapshots_stay;
    UPDATE runs SET snapshot = json_set(snapshot, '$.sheet.pours', json('[]')) WHERE ended = 'finished';
    INSERT INTO plans VALUES ('odd', 1, 1, '2026-01-01');
    INSERT INTO plan_versions (plan_id, version, record, changed_at) VALUES ('odd', 1, '{"name":"Odd"}', '2026-01-01');
    INSERT INTO molds (id, record, revision, changed_at, shape) VALUES ('later', '{}', 1, '2026-01-01', 99);
  `);
  assert.equal(workshop.materials.all().length, materials - 1);
  assert.deepEqual(
    workshop.materials.broken().map(({ id, reason }) => [id, reason.slice(0, 14)]),
    [['grit', 'densityGPerMl ']],
  );
  assert.deepEqual(
    workshop.plans.broken().map(({ id }) => id),
    ['odd'],
  );
  assert.match(workshop.molds.broken()[0]?.reason ?? '', /newer version/);
  assert.equal(workshop.runs.finished().broken.length, 1);
  assert.equal(workshop.runs.open().items.length, 1);
});
