import assert from 'node:assert/strict';
import { join } from 'node:path';
import test from 'node:test';
import Ajv2020 from 'ajv/dist/2020';
import Papa from 'papaparse';
import yauzl from 'yauzl';
import { logEntry } from '../../src/core/run/logEntry';
import { NoWorkshopError } from '../../src/db/copies/whatItHolds';
import { OPEN_TABLES, openJsonSchema } from '../../src/formats/openFormats';
import { logbookText } from '../../src/server/openFormats/csvFiles';
import { readOpen } from '../../src/server/openFormats/readOpen';
import { writeOpen } from '../../src/server/openFormats/writeOpen';
import { openWorkshop, type Workshop } from '../../src/server/openWorkshop';
import { planViews } from '../../src/server/views';
import { OLDER_STEPS, writeOlderDatabase } from '../support/olderDatabases';
import { temporaryFolder } from '../support/server';
import { emptyWorkshop } from '../support/workshops';

const validator = new Ajv2020({ strict: false, validateFormats: false });
validator.addSchema(openJsonSchema(), 'workshop');

const AT = '2026-01-02T03:04:05.000Z';

async function filesOf(path: string): Promise<Map<string, string>> {
  const zip = await yauzl.openPromise(path, { lazyEntries: true });
  const files = new Map<string, string>();
  for await (const entry of zip.eachEntry()) {
    let text = '';
    for await (const piece of await zip.openReadStreamPromise(entry)) text += String(piece);
    files.set(entry.fileName, text);
  }
  zip.close();
  return files;
}

const dataOf = (files: Map<string, string>) => [...files].filter(([name]) => name.startsWith('data/'));

/** What pages show: sheets with their findings, log entries, stock, rules. */
async function shown(workshop: Workshop) {
  return {
    plans: await planViews(workshop, workshop.plans.all()),
    log: workshop.runs.finished().items.map(logEntry),
    bench: workshop.runs.open().items,
    stock: [...workshop.lots.stock()],
    rules: workshop.rules(),
  };
}

for (const step of OLDER_STEPS)
  test(`a workshop of step ${step} goes out in open formats and comes back the same, to the last digit`, async (t) => {
    const folder = temporaryFolder();
    t.after(folder.remove);
    writeOlderDatabase(folder.path, step);
    const out = join(folder.path, 'out.zip');
    const first = openWorkshop(folder.path);
    const before = await shown(first);
    first.db.close();
    await writeOpen(join(folder.path, 'workshop.sqlite'), out, AT);
    const files = await filesOf(out);
    const again = temporaryFolder();
    t.after(again.remove);
    await readOpen(out, join(again.path, 'workshop.sqlite'));
    const second = openWorkshop(again.path);
    assert.deepEqual(await shown(second), before);
    second.db.close();
    const out2 = join(again.path, 'out.zip');
    await writeOpen(join(again.path, 'workshop.sqlite'), out2, AT);
    assert.deepEqual(dataOf(await filesOf(out2)), dataOf(files));

    // Every line is what the schema in the file says, judged by a validator that is not ours.
    for (const table of OPEN_TABLES) {
      const lines = (files.get(`data/${table.replaceAll('_', '-')}.jsonl`) ?? '').split('\n').filter(Boolean);
      const fits = validator.getSchema(`workshop#/$defs/${table}`);
      assert.ok(fits, table);
      for (const line of lines) assert.ok(fits(JSON.parse(line)), `${table}: ${JSON.stringify(fits.errors)}`);
    }
  });

test('the Logbook for people has a line a run and a line a weighing, as spreadsheets of both kinds write them', (t) => {
  const folder = temporaryFolder();
  t.after(folder.remove);
  writeOlderDatabase(folder.path, 7);
  const workshop = openWorkshop(folder.path);
  const entries = workshop.runs.finished().items.map(logEntry);
  for (const [delimiter, decimal] of [
    [',', '.'],
    [';', ','],
  ] as const) {
    const text = (of: 'runs' | 'weights') =>
      [...logbookText(workshop, of, { delimiter, decimal })].join('').replace(/^\uFEFF/, '');
    const table = (of: 'runs' | 'weights') =>
      Papa.parse<Record<string, string>>(text(of), { delimiter, header: true, skipEmptyLines: true }).data;
    assert.deepEqual(
      table('runs').map((row) => [row.Run, row['Good pieces']]),
      entries.map(({ runId, goodPieces }) => [runId, String(goodPieces)]),
    );
    assert.deepEqual(
      table('weights').map((row) => Number(row['Weighed, g']?.replace(',', '.'))),
      entries.flatMap(({ weights }) => weights.map(({ actualG }) => Number(actualG.toFixed(4)))),
    );
  }
  workshop.db.close();
});

test('every table of the database has its place in the export', () => {
  const { db } = emptyWorkshop();
  const tables = db
    .prepare<[], { name: string }>(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
    )
    .all()
    .map(({ name }) => name)
    // The Logbook's index is made anew from the runs, what plans name by the database itself.
    .filter((name) => !/^(run_(search|facets|words|measures)|plan_names$)/.test(name));
  assert.deepEqual(tables, OPEN_TABLES.toSorted());
});

test('a record that can’t be read goes out as it stands, and comes back so', async (t) => {
  const [folder, again] = [temporaryFolder(), temporaryFolder()];
  t.after(folder.remove);
  t.after(again.remove);
  writeOlderDatabase(folder.path, 7);
  const first = openWorkshop(folder.path);
  first.db.exec(`UPDATE lots SET record = '[17]' WHERE id = (SELECT max(id) FROM lots)`);
  const broken = first.lots.broken();
  assert.equal(broken.length, 1);
  first.db.close();
  const out = join(folder.path, 'out.zip');
  await writeOpen(join(folder.path, 'workshop.sqlite'), out, AT);
  assert.match((await filesOf(out)).get('data/unreadable.jsonl') ?? '', /^\{"table":"lots"/);
  await readOpen(out, join(again.path, 'workshop.sqlite'));
  const second = openWorkshop(again.path);
  assert.deepEqual(second.lots.broken(), broken);
  second.db.close();
});

test('a file that was changed by hand is refused with its line', async (t) => {
  const folder = temporaryFolder();
  t.after(folder.remove);
  const { ZipFile } = await import('yazl');
  const { createWriteStream } = await import('node:fs');
  const { pipeline } = await import('node:stream/promises');
  for (const [name, text, reason] of [
    ['data/jugs.jsonl', '{"id":"j"', /line 1 of data\/jugs\.jsonl is no JSON/],
    ['data/put-away.jsonl', '{"kind":"plan","id":"p","state":"odd","at":"x"}', /line 1 of .*: state /],
    [
      'data/plan-versions.jsonl',
      '{"plan_id":"p","version":1,"record":[1],"shape":2,"changed_at":"x"}',
      /record /,
    ],
    ['data/runs.jsonl', '{"kind":"plan"}', /line 1/],
    [
      'data/stock-entries.jsonl',
      '{"place":1,"id":"e","lot_id":"none","at":"x","kind":"used","change":-1,"owner_kind":null,"owner_id":null,"note":""}',
      /does not fit together/,
    ],
  ] as const) {
    const path = join(folder.path, 'changed.zip');
    const zip = new ZipFile();
    zip.addBuffer(Buffer.from(`${text}\n`), name);
    zip.end();
    await pipeline(zip.outputStream, createWriteStream(path));
    const to = join(folder.path, `${name.replaceAll('/', '-')}.sqlite`);
    await assert.rejects(
      readOpen(path, to),
      (error) => error instanceof NoWorkshopError && reason.test(error.message),
      name,
    );
  }
});
