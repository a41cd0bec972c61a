import assert from 'node:assert/strict';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import test, { after } from 'node:test';
import Database from 'better-sqlite3';
import fc from 'fast-check';
import { USUAL_HOUSE_CHOICES } from '../../src/core/houseRules/houseRules';
import { jugSchema } from '../../src/core/houseRules/jugSchema';
import { materialSchema } from '../../src/core/materials/materialSchema';
import { sheetSchema } from '../../src/core/plan/sheetSchema';
import type { Lot } from '../../src/core/stock/lot';
import { z } from '../../src/core/zod';
import { openDatabase } from '../../src/db/connection';
import { houseRulesTable } from '../../src/db/houseRules';
import { lotTable } from '../../src/db/lots';
import { type Migration, migrate, NewerDatabaseError } from '../../src/db/migrate';
import { MIGRATIONS } from '../../src/db/migrations/all';
import { recordReader } from '../../src/db/readRecord';
import { recordTable } from '../../src/db/records';
import { BOX, base, fragrance, pieces, planFile, scrap, sheetOf } from '../support/planFiles';

const folder = mkdtempSync(join(tmpdir(), 'tallow-db-'));
after(() => rmSync(folder, { recursive: true }));

/** What a base learnt to tell with the fifth step. */
const HEAT_OF_BASE = [
  'sweatsAbove',
  'setsC',
  'setsOverK',
  'latentJG',
  'heatCapacityJGK',
  'conductivityWMK',
] as const;

const without = (record: object, ...keys: string[]) =>
  Object.fromEntries(Object.entries(record).filter(([key]) => !keys.includes(key)));

const steps: Migration[] = [
  { number: 1, sql: 'CREATE TABLE jars (id INTEGER PRIMARY KEY) STRICT; INSERT INTO jars VALUES (7);' },
  { number: 2, sql: 'ALTER TABLE jars ADD COLUMN label TEXT;' },
  { number: 3, sql: "UPDATE jars SET label = 'old';" },
];

test('opens with write-ahead log, full synchronisation, foreign keys and strict tables only', () => {
  const db = openDatabase(join(folder, 'fresh.sqlite'));
  assert.equal(db.pragma('journal_mode', { simple: true }), 'wal');
  assert.equal(db.pragma('synchronous', { simple: true }), 2);
  assert.equal(db.pragma('foreign_keys', { simple: true }), 1);
  const loose = db.prepare(
    "SELECT name FROM pragma_table_list WHERE type = 'table' AND strict = 0 AND name NOT LIKE 'sqlite_%'",
  );
  assert.deepEqual(loose.all(), []);
  db.close();
});

test('migrations are numbered from 1 without gaps', () => {
  assert.deepEqual(
    MIGRATIONS.map(({ number }) => number),
    MIGRATIONS.map((_, index) => index + 1),
  );
});

test('comes up from every older step, with a copy kept before each', () => {
  for (let from = 1; from < steps.length; from++) {
    const own = mkdtempSync(join(folder, 'from-'));
    const path = join(own, 'jars.sqlite');
    const db = new Database(path);
    migrate(db, steps.slice(0, from));
    migrate(db, steps);
    assert.deepEqual(db.prepare('SELECT * FROM jars').get(), { id: 7, label: 'old' });
    db.close();
    for (let next = from + 1; next <= steps.length; next++) {
      const copy = new Database(join(own, 'backups', `before-step-000${next}.sqlite`), { readonly: true });
      assert.equal(copy.pragma('integrity_check', { simple: true }), 'ok');
      copy.close();
    }
  }
});

test('a shelf of the first step comes up whole: what is new in a record is unknown', () => {
  const path = join(folder, 'first-step.sqlite');
  const db = new Database(path);
  migrate(db, MIGRATIONS.slice(0, 1));
  const { inci, origins, lowStock, archived, ...common } = fragrance();
  const { fragranceKind, vanillinOfMaterial, allergens, usualLeastOfBase, usualMostOfBase, ...scent } =
    common;
  const old = { ...scent, id: 'old', note: 'kept' };
  const insert = db.prepare("INSERT INTO materials VALUES (?, ?, 1, 'now')");
  insert.run('old', JSON.stringify(old));
  for (const [id, record] of [
    [
      'b',
      {
        kind: 'base',
        baseKind: 'soap',
        look: 'clear',
        densityGPerMl: null,
        fragranceCapOfBase: 0.03,
        additionsCapOfBase: null,
        ceilingC: 71,
      },
    ],
    [
      'c',
      {
        kind: 'colorant',
        form: 'mica',
        densityGPerMl: 2,
        bulkDensityGPerMl: null,
        skin: 'unknown',
        maxOfProduct: null,
        readings: [],
      },
    ],
    [
      'a',
      {
        kind: 'additive',
        role: 'grit',
        densityGPerMl: 2,
        bulkDensityGPerMl: null,
        skin: 'unknown',
        maxOfProduct: null,
        readings: [],
      },
    ],
  ] as const)
    insert.run(id, JSON.stringify({ ...record, id, name: id, note: '' }));
  db.close();
  const up = openDatabase(path);
  const records = up.prepare('SELECT record FROM materials').pluck().all() as string[];
  for (const record of records) {
    const read = materialSchema.safeParse(JSON.parse(record));
    assert.ok(read.success, read.success ? '' : read.error.message);
    if (read.data.id === 'old') assert.deepEqual({ ...read.data, ...old }, read.data);
  }
  assert.equal(records.length, 4);
  up.close();
});

test('a frozen sheet of the third step comes up whole: poured as it was, from jugs of its own, with nothing set in', () => {
  const path = join(folder, 'third-step.sqlite');
  const db = new Database(path);
  migrate(db, MIGRATIONS.slice(0, 3));
  const sheet = sheetOf(planFile([{ doses: [[fragrance(), '2 %']] }, {}], {}, BOX));
  const old = JSON.parse(JSON.stringify(sheet));
  for (const pour of old.pours) {
    for (const key of ['way', 'embeds', 'embedsUnsized', 'displacedMl', 'meltG', 'surfaceMm'])
      delete pour[key];
    delete pour.when;
    pour.base = without(pour.base, ...HEAT_OF_BASE);
    for (const line of pour.lines) delete line.addG;
  }
  delete old.making;
  delete old.mold.taught;
  delete old.mold.stripMm;
  delete old.totals.embedsG;
  delete old.totals.trimmedG;
  db.exec(`INSERT INTO plans (id, revision, latest_version, changed_at) VALUES ('p', 1, 1, 'now');
    INSERT INTO plan_versions (plan_id, version, record, changed_at) VALUES ('p', 1, '{}', 'now')`);
  db.prepare(
    "INSERT INTO runs (id, plan_id, plan_version, started_at, sheet, findings) VALUES ('r', 'p', 1, 'now', ?, '[]')",
  ).run(JSON.stringify(old));
  db.close();
  const up = openDatabase(path);
  const read = sheetSchema.safeParse(
    JSON.parse(up.prepare("SELECT snapshot -> '$.sheet' FROM runs").pluck().get() as string),
  );
  assert.ok(read.success, read.success ? '' : read.error.message);
  assert.deepEqual(read.data, sheet);
  up.close();
});

test('records of the fourth step come up with nothing taught, and sheets that are made in an ordinary room', () => {
  const path = join(folder, 'fourth-step.sqlite');
  const db = new Database(path);
  migrate(db, MIGRATIONS.slice(0, 4));
  const set = pieces('scrap-1', { size: { by: 'mass', massG: 3 } });
  const sheet = sheetOf(planFile([{ doses: [[fragrance(), '2 %']], embeds: [set] }, {}], {}, BOX, [scrap()]));
  const oldSheet = {
    ...without(sheet, 'making'),
    mold: without(sheet.mold, 'taught'),
    pours: sheet.pours.map((pour) => ({
      ...without(pour, 'when'),
      base: without(pour.base, ...HEAT_OF_BASE),
      embeds: pour.embeds.map((embed) => without(embed, 'ofBase')),
    })),
  };
  const oldRules = {
    ...without(USUAL_HOUSE_CHOICES, 'microwaveW'),
    jugs: [
      { name: 'Old jug', holdsMl: 600 },
      { name: 'Old jug', holdsMl: 900 },
    ],
  };
  const insert = (table: string, id: string, record: object) =>
    db
      .prepare(`INSERT INTO ${table} (id, record, revision, changed_at) VALUES (?, ?, 1, 'now')`)
      .run(id, JSON.stringify(record));
  insert('molds', BOX.id, without(BOX, 'taught'));
  insert('materials', 'b', without({ ...base({ id: 'b' }) }, ...HEAT_OF_BASE));
  db.prepare("INSERT INTO house_rules (only, record, revision, changed_at) VALUES (1, ?, 1, 'now')").run(
    JSON.stringify(oldRules),
  );
  db.exec(`INSERT INTO plans (id, revision, latest_version, changed_at) VALUES ('p', 1, 1, 'now');
    INSERT INTO plan_versions (plan_id, version, record, changed_at) VALUES ('p', 1, '{}', 'now')`);
  db.prepare(
    "INSERT INTO runs (id, plan_id, plan_version, started_at, sheet, findings) VALUES ('r', 'p', 1, 'now', ?, '[]')",
  ).run(JSON.stringify(oldSheet));
  db.close();
  const up = openDatabase(path);
  const one = (sql: string) => JSON.parse(up.prepare(sql).pluck().get() as string);
  assert.deepEqual(sheetSchema.parse(one("SELECT snapshot -> '$.sheet' FROM runs")), sheet);
  assert.deepEqual(one('SELECT record FROM molds'), JSON.parse(JSON.stringify(BOX)));
  assert.deepEqual(materialSchema.parse(one('SELECT record FROM materials')), base({ id: 'b' }));
  assert.deepEqual(houseRulesTable(up).read().item, USUAL_HOUSE_CHOICES);
  // Two jugs of one name are two jugs.
  const jugs = recordTable(up, 'jugs', recordReader(jugSchema)).all();
  assert.deepEqual(
    jugs.map(({ item: { id, name, holdsMl, taught } }) => [id, name, holdsMl, taught.length]),
    [
      ['jug-1', 'Old jug', 600, 0],
      ['jug-2', 'Old jug', 900, 0],
    ],
  );
  up.close();
});

test('a migration that fails leaves the file as it was', () => {
  const path = join(folder, 'fails.sqlite');
  const db = new Database(path);
  migrate(db, steps.slice(0, 1));
  const broken: Migration = {
    number: 2,
    sql: 'CREATE TABLE lids (id INTEGER) STRICT; INSERT INTO nowhere VALUES (1);',
  };
  assert.throws(() => migrate(db, [...steps.slice(0, 1), broken]));
  assert.equal(db.pragma('user_version', { simple: true }), 1);
  assert.equal(db.prepare("SELECT count(*) AS n FROM sqlite_schema WHERE name = 'lids'").pluck().get(), 0);
  db.close();
});

test('a file from a newer version is refused in a sentence and left untouched', () => {
  const path = join(folder, 'newer.sqlite');
  const db = openDatabase(path);
  db.pragma('user_version = 999');
  db.pragma('wal_checkpoint(TRUNCATE)');
  db.close();
  const before = readFileSync(path);
  assert.throws(() => openDatabase(path), NewerDatabaseError);
  assert.deepEqual(readFileSync(path), before);
  assert.equal(existsSync(join(folder, 'backups', 'before-step-0999.sqlite')), false);
});

test('what has happened can be neither changed nor deleted', () => {
  const db = openDatabase(join(folder, 'append.sqlite'));
  db.exec(`
    INSERT INTO plans VALUES ('p', 1, 1, 'now');
    INSERT INTO plan_versions (plan_id, version, record, changed_at) VALUES ('p', 1, '{}', 'now');
    INSERT INTO runs (id, plan_id, plan_version, started_at) VALUES ('r', 'p', 1, 'now');
    INSERT INTO run_events (run_id, place, event_id, at, event) VALUES ('r', 1, 'e', 'now', '{}');
  `);
  assert.throws(() => db.exec("UPDATE run_events SET event = '{}'"), /never changed/);
  assert.throws(() => db.exec('DELETE FROM run_events'), /never deleted/);
  assert.throws(() => db.exec("UPDATE plan_versions SET record = '{}'"), /has used this version/);
  for (const column of ['snapshot', 'code', 'started_at', 'shape'])
    assert.throws(() => db.exec(`UPDATE runs SET ${column} = 2`), /never changed/, column);
  db.exec("UPDATE runs SET ended = 'finished', on_rack = 1");
  assert.throws(
    () =>
      db.exec(
        "INSERT INTO plan_versions (plan_id, version, record, changed_at) VALUES ('nobody', 1, '{}', 'now')",
      ),
    /FOREIGN KEY/,
  );
  assert.throws(
    () => db.exec("INSERT INTO molds (id, record, revision, changed_at) VALUES ('m', 'not json', 1, 'now')"),
    /CHECK/,
  );
  db.close();
});

test('a list that is kept follows every write: its own, one that is taken back, and another connection’s', () => {
  const path = join(folder, 'kept.sqlite');
  const [db, other] = [openDatabase(path), openDatabase(path)];
  const jugs = recordTable(db, 'jugs', recordReader(jugSchema));
  const jug = (id: string) => ({ id, name: id, holdsMl: 500, taught: [] });
  const names = () => jugs.all().map(({ item }) => item.name);
  assert.deepEqual(names(), []);
  // Another that reads the table by itself counts the same writes.
  recordTable(db, 'jugs', recordReader(jugSchema)).all();
  jugs.insert(jug('a'), 'now');
  assert.deepEqual(names(), ['a']);
  assert.equal(jugs.all()[0], jugs.all()[0]);
  assert.throws(() =>
    db.transaction(() => {
      jugs.insert(jug('b'), 'now');
      assert.deepEqual(names(), ['a', 'b']);
      throw new Error('taken back');
    })(),
  );
  assert.deepEqual(names(), ['a']);
  recordTable(other, 'jugs', recordReader(jugSchema)).insert(jug('c'), 'now');
  assert.deepEqual(names(), ['a', 'c']);
  db.exec("UPDATE jugs SET record = json_set(record, '$.name', 'other') WHERE id = 'a'");
  assert.deepEqual(names(), ['c', 'other']);
  db.exec("DELETE FROM jugs WHERE id = 'c'");
  assert.deepEqual(names(), ['other']);
  db.close();
  other.close();
});

test('what is left of lots is what SQLite sums of their entries, whoever adds them, and of nothing that is taken back', () => {
  const path = join(folder, 'lots.sqlite');
  const [db, other] = [openDatabase(path), openDatabase(path)];
  const [lots, others] = [lotTable(db), lotTable(other)];
  const lotOf = (id: string, materialId: string, heldFor?: string): Lot => ({
    ...{ id, item: { kind: 'material', id: materialId }, number: id, boughtOn: '2026-01-01', price: null },
    ...{ discountFraction: 0, amount: 1, bestBefore: null, openedOn: null, note: '' },
    ...(heldFor ? { heldFor } : {}),
  });
  db.exec(`INSERT INTO materials (id, record, revision, changed_at)
    VALUES ('material-0', '{}', 1, 'now'), ('material-1', '{}', 1, 'now')`);
  for (const n of [0, 1, 2, 3]) lots.insert(lotOf(`lot-${n}`, `material-${n % 2}`), 'now');
  const sums = db.prepare('SELECT lot_id, sum(change) FROM stock_entries GROUP BY lot_id').raw();
  const left = () =>
    [...lots.stock().values()]
      .flat()
      .map(({ id, left }) => [id, left])
      .filter(([, left]) => left !== 0);
  const agrees = () => assert.deepEqual(new Map(left() as [string, number][]), new Map(sums.all() as never));
  const add = (to: typeof lots, lot: number, change: number) =>
    to.addEntry({
      ...{
        id: crypto.randomUUID(),
        lotId: `lot-${lot}`,
        at: 'now',
        kind: 'used',
        change,
        owner: null,
        note: '',
      },
    });
  const entry = fc.tuple(fc.nat({ max: 3 }), fc.double({ min: -1e6, max: 1e6, noNaN: true }));
  const step = fc.record({
    by: fc.constantFrom('own', 'other', 'taken back'),
    entries: fc.array(entry, { maxLength: 4 }),
  });
  fc.assert(
    fc.property(fc.array(step, { maxLength: 6 }), (steps) => {
      for (const { by, entries } of steps) {
        const all = (to: typeof lots) => {
          for (const [lot, change] of entries) {
            add(to, lot, change);
            agrees();
          }
        };
        if (by === 'own') db.transaction(all)(lots);
        if (by === 'other') all(others);
        if (by === 'taken back')
          assert.throws(() =>
            db.transaction(() => {
              all(lots);
              throw new Error('taken back');
            })(),
          );
        agrees();
      }
    }),
    { numRuns: 60, seed: 4 },
  );
  // What stands as it stood is the same object.
  const before = lots.stock();
  assert.equal(lots.stock(), before);
  db.exec("UPDATE lots SET changed_at = 'later'");
  assert.equal(lots.stock(), before);
  add(lots, 1, 5);
  assert.notEqual(lots.stock(), before);
  assert.equal(lots.stock().get('material-0'), before.get('material-0'));
  lots.update(lotOf('lot-0', 'material-0', 'its certificate'), 1, 'now');
  assert.equal(lots.stock().get('material-0')?.[0]?.heldFor, 'its certificate');
  db.exec('DROP TRIGGER stock_entries_stay; UPDATE stock_entries SET change = 1');
  agrees();
  db.close();
  other.close();
});

test('records that were read are kept, of so many characters in all where that is said: long ones do not pile up', () => {
  const reader = recordReader(z.object({ note: z.string() }), [], 20_000_000);
  const read = (n: number) => {
    const one = reader.read(`${n}`, JSON.stringify({ note: `${n}`.padEnd(1_000_000) }), 1);
    return one.success && one.data;
  };
  const [first, second] = [read(1), read(2)];
  assert.equal(read(1), first);
  for (let n = 3; n <= 25; n++) read(n);
  assert.equal(read(25), read(25));
  assert.notEqual(read(2), second);
});
