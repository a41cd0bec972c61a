import assert from 'node:assert/strict';
import {
  copyFileSync,
  createWriteStream,
  existsSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { basename, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import test, { type TestContext } from 'node:test';
import Database from 'better-sqlite3';
import { bringBack } from '../../src/db/copies/bringBack';
import { copiesIn, faultOf } from '../../src/db/copies/copyFolder';
import { DATABASE_FILE, FolderInUseError, lockFolder } from '../../src/db/dataFolder.mjs';
import { DamagedDatabaseError } from '../../src/db/whole';
import { copiesOf, copyOfToday, copyState, setSecondPlace } from '../../src/server/copies';
import { healthOf } from '../../src/server/health';
import { importPlan } from '../../src/server/importPlan';
import { lookInto, saveAll } from '../../src/server/wholeWorkshop';
import { openWorkshop } from '../../src/server/workshop';
import { planFile } from '../support/planFiles';
import { temporaryFolder } from '../support/server';
import { problemOf } from '../support/workshops';

/** A workshop on the disk whose day can be moved on. */
function onDisk(t: TestContext) {
  const { path, remove } = temporaryFolder();
  const clock = { day: '2026-03-01' };
  const workshop = openWorkshop(path, () => `${clock.day}T09:00:00.000Z`);
  t.after(() => {
    if (workshop.db.open) workshop.db.close();
    remove();
  });
  return { folder: path, workshop, clock };
}

const planCount = (path: string) => {
  const db = new Database(path, { readonly: true });
  const { count } = db.prepare<[], { count: number }>('SELECT count(*) AS count FROM plans').get() ?? {};
  db.close();
  return count;
};

/** Writes over a stretch in the middle of a file. */
function damage(path: string): void {
  const bytes = readFileSync(path);
  bytes.fill(0x5a, 4096 * 2, 4096 * 6);
  writeFileSync(path, bytes);
}

test('a workshop is copied once a day, with what stands in the write-ahead log only; an empty one is not', async (t) => {
  const { workshop, clock } = onDisk(t);
  assert.equal(await copyOfToday(workshop), false);
  assert.deepEqual(copiesOf(workshop), []);
  importPlan(workshop, planFile([{}]));
  assert.equal(await copyOfToday(workshop), true);
  importPlan(workshop, planFile([{}, {}]));
  assert.equal(await copyOfToday(workshop), true);
  const [first] = copiesOf(workshop);
  assert.ok(first, 'a copy');
  assert.deepEqual([first.day, planCount(first.path), faultOf(first.path, true)], ['2026-03-01', 1, null]);
  clock.day = '2026-03-02';
  await copyOfToday(workshop);
  assert.deepEqual(
    copiesOf(workshop).map(({ day, path }) => [day, planCount(path)]),
    [
      ['2026-03-02', 2],
      ['2026-03-01', 1],
    ],
  );
  assert.deepEqual(copyState(workshop), { lastDay: '2026-03-02', fault: null, second: null });
});

test('each daily copy is put into a second place, which may be away for a while; one that is none is refused', async (t) => {
  const { workshop, folder, clock } = onDisk(t);
  importPlan(workshop, planFile([{}]));
  const { path: stick, remove } = temporaryFolder();
  t.after(remove);
  writeFileSync(join(stick, 'file'), '');
  for (const [place, reason] of [
    ['stick', /from the root on/],
    [join(stick, 'none'), /not there/],
    [join(stick, 'file'), /is a file/],
    [join(folder, 'backups'), /would be lost with it/],
    [folder, /would be lost with it/],
  ] as const)
    assert.match((await problemOf(setSecondPlace(workshop, place))).detail, reason);
  await copyOfToday(workshop);
  assert.equal((await setSecondPlace(workshop, stick)).second?.lastDay, '2026-03-01');
  assert.equal(planCount(join(stick, 'workshop-2026-03-01.sqlite')), 1);
  // The stick is out for two days, and gets what it missed.
  renameSync(stick, `${stick}-out`);
  for (const day of ['2026-03-02', '2026-03-03']) {
    clock.day = day;
    assert.equal(await copyOfToday(workshop), true);
  }
  assert.match(copyState(workshop).second?.fault ?? '', /not there/);
  renameSync(`${stick}-out`, stick);
  await copyOfToday(workshop);
  assert.deepEqual(copyState(workshop).second, { folder: stick, lastDay: '2026-03-03', fault: null });
  assert.deepEqual(readdirSync(stick).toSorted(), [
    'file',
    ...['01', '02', '03'].map((day) => `workshop-2026-03-${day}.sqlite`),
  ]);
  assert.equal((await setSecondPlace(workshop, null)).second, null);
});

test('after forty days the copies are those of the last days, weeks and months; what a copy is made of is not left behind', async (t) => {
  const { workshop, clock, folder } = onDisk(t);
  importPlan(workshop, planFile([{}]));
  for (let on = 0; on < 40; on++) {
    clock.day = new Date(Date.UTC(2026, 0, 1 + on)).toISOString().slice(0, 10);
    await copyOfToday(workshop);
  }
  // 9 February is a Monday. Its week has itself; of the three before their Sundays; of January its last day.
  assert.deepEqual(
    copiesOf(workshop).map(({ day }) => day.slice(5)),
    ['02-09', '02-08', '02-07', '02-06', '02-05', '02-04', '02-03', '02-01', '01-31', '01-25'],
  );
  assert.deepEqual(
    readdirSync(join(folder, 'backups')).filter((name) => !name.endsWith('.sqlite')),
    [],
  );
});

test('a copy that can’t be made is told, and the workshop goes on', async (t) => {
  const { workshop, folder } = onDisk(t);
  importPlan(workshop, planFile([{}]));
  writeFileSync(join(folder, 'backups'), 'a file in the way');
  assert.equal(await copyOfToday(workshop), false);
  assert.match(copyState(workshop).fault ?? '', /EEXIST|ENOTDIR/);
  assert.equal((await healthOf(workshop)).status, 'ok');
  rmSync(join(folder, 'backups'));
  assert.equal(await copyOfToday(workshop), true);
  assert.equal(copyState(workshop).fault, null);
});

test('the whole workshop is one file, is shown, and comes back; what was there is kept', async (t) => {
  const { workshop, folder } = onDisk(t);
  importPlan(workshop, planFile([{}], { name: 'Kept' }));
  const file = join(folder, 'all.zip');
  await pipeline(await saveAll(workshop), createWriteStream(file));
  importPlan(workshop, planFile([{}, {}], { name: 'Later' }));
  const { path, at, holds } = await lookInto(folder, file, crypto.randomUUID());
  assert.deepEqual([at, holds.plans, holds.molds, holds.runs], ['2026-03-01T09:00:00.000Z', 1, 1, 0]);
  assert.equal(holds.changedAt, '2026-03-01T09:00:00.000Z');
  workshop.db.close();
  const kept = bringBack(folder, path, '2026-03-01T10:00:00.000Z');
  const again = openWorkshop(folder);
  t.after(() => again.db.close());
  assert.deepEqual(
    again.plans.all().map(({ plan }) => plan.name),
    ['Kept'],
  );
  const [aside] = copiesOf(again);
  assert.ok(aside, 'what was there');
  assert.deepEqual([aside.kind, basename(aside.path), planCount(aside.path)], ['before', kept, 2]);
  assert.deepEqual(
    readdirSync(folder).filter((name) => /tmp|waiting/.test(name)),
    [],
  );
});

test('what can’t be brought back is refused with the reason, and nothing is changed', async (t) => {
  const { workshop, folder } = onDisk(t);
  importPlan(workshop, planFile([{}]));
  const whole = join(folder, 'whole.zip');
  await pipeline(await saveAll(workshop), createWriteStream(whole));
  await copyOfToday(workshop);
  const [copy] = copiesOf(workshop);
  assert.ok(copy, 'a copy');
  const file = (name: string, write: (path: string) => void) => {
    const path = join(folder, name);
    write(path);
    return path;
  };
  const changed = (at: number) => (path: string) => {
    const bytes = readFileSync(whole);
    bytes[at] = (bytes[at] ?? 0) ^ 0xff;
    writeFileSync(path, bytes);
  };
  const cases: [string, RegExp][] = [
    [file('junk', (path) => writeFileSync(path, 'junk')), /neither a copy of a workshop nor a database/],
    [file('nothing', (path) => writeFileSync(path, '')), /neither a copy/],
    [
      file('cut.zip', (path) => {
        copyFileSync(whole, path);
        truncateSync(path, 3000);
      }),
      /neither a copy/,
    ],
    [file('bit.zip', changed(2500)), /not whole/],
    [
      file('other.sqlite', (path) => {
        const db = new Database(path);
        db.exec('CREATE TABLE notes (id INTEGER)');
        db.close();
      }),
      /holds no workshop/,
    ],
    [
      file('damaged.sqlite', (path) => {
        copyFileSync(copy.path, path);
        damage(path);
      }),
      /damaged|no workshop/,
    ],
    [
      file('newer.sqlite', (path) => {
        copyFileSync(copy.path, path);
        const db = new Database(path);
        db.pragma('user_version = 999');
        db.close();
      }),
      /step 999/,
    ],
  ];
  for (const [path, reason] of cases) {
    const problem = await problemOf(lookInto(folder, path, crypto.randomUUID()));
    assert.equal(problem.status, 422, path);
    assert.match(problem.detail, reason, path);
  }
  assert.deepEqual(
    readdirSync(folder).filter((name) => name.startsWith('waiting')),
    [],
  );
  // A daily copy itself can be brought back.
  assert.equal((await lookInto(folder, copy.path, crypto.randomUUID())).holds.plans, 1);
});

test('a file that is gone, empty or damaged is answered with the last whole copy, never with an empty workshop', async (t) => {
  const { workshop, folder, clock } = onDisk(t);
  importPlan(workshop, planFile([{}]));
  await copyOfToday(workshop);
  clock.day = '2026-03-02';
  await copyOfToday(workshop);
  workshop.db.close();
  const path = join(folder, DATABASE_FILE);
  const whole = readFileSync(path);
  const [newest, older] = copiesIn(join(folder, 'backups'));
  assert.ok(newest && older, 'two copies');
  const told = () => {
    try {
      openWorkshop(folder).db.close();
    } catch (error) {
      if (error instanceof DamagedDatabaseError) return error;
      throw error;
    }
    throw new Error('it was opened');
  };
  damage(path);
  assert.match(
    told().message,
    /is damaged .*Nothing was changed\. .*npm run restore -- ".*workshop-2026-03-02/,
  );
  // What is damaged is kept as it is, and the copy takes its place.
  writeFileSync(path, '');
  assert.match(told().fault, /empty/);
  rmSync(path);
  assert.match(told().fault, /gone/);
  assert.equal(existsSync(path), false);
  damage(newest.path);
  assert.equal(told().lastCopy, older.path);
  writeFileSync(path, whole);
  openWorkshop(folder).db.close();
  damage(path);
  const { path: waiting } = await lookInto(folder, older.path, crypto.randomUUID());
  const kept = bringBack(folder, waiting, '2026-03-03T10:00:00.000Z') ?? '';
  assert.match(kept, /\.damaged$/);
  assert.notEqual(faultOf(join(folder, 'backups', kept)), null);
  const again = openWorkshop(folder);
  t.after(() => again.db.close());
  assert.equal(again.plans.all().length, 1);
});

test('a folder is one server’s; it is free again when that lets go', (t) => {
  const { folder } = onDisk(t);
  const letGo = lockFolder(folder);
  assert.throws(() => lockFolder(folder), FolderInUseError);
  letGo();
  lockFolder(folder)();
});
