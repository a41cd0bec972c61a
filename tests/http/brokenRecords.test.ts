import assert from 'node:assert/strict';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import test from 'node:test';
import Database from 'better-sqlite3';
import { newProduct } from '../../src/core/product/newProduct';
import { writeOlderDatabase } from '../support/olderDatabases';
import { send, startServer, temporaryFolder } from '../support/server';

test('a record that can’t be read has a card on its own page, and takes no page down', async (t) => {
  const folder = temporaryFolder();
  t.after(() => folder.remove());
  writeOlderDatabase(folder.path, 7);
  const first = await startServer(folder.path);
  await first.stop();
  const db = new Database(join(folder.path, 'workshop.sqlite'));
  for (const table of ['jugs', 'scales', 'molds', 'materials', 'lots'])
    db.exec(`UPDATE ${table} SET record = json_set(record, '$.odd', 1)
      WHERE id = (SELECT max(id) FROM ${table})`);
  db.close();
  const server = await startServer(folder.path);
  t.after(() => server.stop());
  const page = async (path: string) => {
    const answer = await fetch(server.base + path);
    assert.equal(answer.status, 200, path);
    return await answer.text();
  };
  for (const [path, kinds] of [
    ['/house-rules', ['jug', 'scale']],
    ['/molds', ['mold']],
    ['/shelf', ['material', 'lot']],
  ] as const) {
    const text = await page(path);
    for (const kind of kinds) assert.match(text, new RegExp(`This ${kind} can’t be read`), path);
  }
  for (const path of ['/', '/plans', '/plans/buy', '/bench', '/log', '/log/run-done', '/bench/run-open'])
    assert.match(await page(path), /<\/html>/, path);
  // The plan that names what can't be read says so on its card, and the endpoint says which record it is.
  assert.match(await page('/plans'), /Can’t be shown: The record/);
  const [{ id }] = (await send(server.base, 'GET', '/api/plans')).body;
  const answer = await send(server.base, 'GET', `/api/plans/${id}/export`);
  assert.deepEqual([answer.status, answer.body.code], [422, 'broken-record']);
});

/** Where a record stands, and how it is broken: out of its schema, and no JSON of ours at all. */
const PLACES = [
  ['jugs', 'record'],
  ['scales', 'record'],
  ['molds', 'record'],
  ['materials', 'record'],
  ['lots', 'record'],
  ['products', 'record'],
  ['purchases', 'record'],
  ['plan_versions', 'record'],
  ['runs', 'snapshot'],
  ['run_events', 'event'],
  ['house_rules', 'record'],
] as const;

/** A database of before, brought up, with a product and a purchase in it. */
async function withProduct(folder: string): Promise<void> {
  const server = await startServer(folder);
  const [{ id }] = (await send(server.base, 'GET', '/api/plans')).body;
  const size = { widthMm: 90, heightMm: 50 };
  const product = newProduct({ id, name: 'Bar' }, 'eu-cosmetic', size);
  assert.equal((await send(server.base, 'POST', '/api/products', product)).status, 201);
  const purchase = { name: 'Quay', orderedOn: null, postage: null, lines: [], note: '' };
  assert.equal((await send(server.base, 'POST', '/api/purchases', purchase)).status, 201);
  await server.stop();
  const db = new Database(join(folder, 'workshop.sqlite'));
  for (const table of ['products', 'purchases'])
    db.exec(`UPDATE ${table} SET record = json_set(record, '$.id', 'bar'), id = 'bar'`);
  db.close();
}

test('one broken record in each table in turn: every page opens, and no endpoint answers that it is our fault', async (t) => {
  const folder = temporaryFolder();
  t.after(() => folder.remove());
  writeOlderDatabase(folder.path, 7);
  await withProduct(folder.path);
  const whole = readFileSync(join(folder.path, 'workshop.sqlite'));
  for (const [table, column] of PLACES) {
    writeFileSync(join(folder.path, 'workshop.sqlite'), whole);
    const db = new Database(join(folder.path, 'workshop.sqlite'));
    db.function('folded', (text) => String(text));
    // What has happened is never changed, but by a disk that loses a part of it.
    for (const trigger of db
      .prepare<[], { name: string }>("SELECT name FROM sqlite_master WHERE type = 'trigger'")
      .all())
      db.exec(`DROP TRIGGER ${trigger.name}`);
    const changed = db
      .prepare(`UPDATE ${table} SET ${column} = ? WHERE rowid = (SELECT max(rowid) FROM ${table})`)
      .run('[17]').changes;
    assert.equal(changed, 1, table);
    const records = ['material', 'mold', 'lot', 'jug', 'scale', 'product', 'purchase'].flatMap((kind) =>
      db
        .prepare<[], { id: string }>(`SELECT id FROM ${kind}s`)
        .all()
        .map(({ id }) => `/records/${kind}/${id}`),
    );
    db.close();
    const server = await startServer(folder.path);
    t.after(() => server.stop());
    const ids = async (path: string) => {
      const { status, body } = await send(server.base, 'GET', path);
      assert.ok(status < 500, `${table}: ${path} ${status}`);
      return Array.isArray(body) ? body.map(({ id, item }) => id ?? item.id) : [];
    };
    const plans = await ids('/api/plans');
    const pages = [
      ...['/', '/plans', '/plans/archive', '/plans/buy', '/plans/recipe', '/molds', '/shelf'],
      `/plans/buy?${plans.map((id) => `plan=${id}`).join('&')}`,
      ...['/bench', '/log', '/log?q=a', '/house-rules', '/copies', '/log/run-done', '/log/run-done/sheet'],
      ...plans.flatMap((id) => [`/plans/${id}`, `/plans/${id}/sheet`, `/plans/${id}/versions`]),
      '/bench/run-open',
      '/products',
      '/products/bar',
      '/products/stock',
      '/products/notice',
      '/purchases',
      '/purchases/bar',
      ...records,
      '/records/house-rules/1',
    ];
    for (const path of pages) {
      const answer = await fetch(server.base + path);
      const text = await answer.text();
      assert.ok(answer.status < 500, `${table}: ${path} ${answer.status}`);
      assert.match(text, /<\/html>/, `${table}: ${path}`);
    }
    for (const path of [
      ...['/api/materials', '/api/molds', '/api/jugs', '/api/scales', '/api/lots', '/api/runs', '/api/log'],
      ...['/api/house-rules', '/api/shelf/csv?of=materials', '/api/shelf/csv?of=lots', '/api/copies'],
      ...plans.map((id) => `/api/plans/${id}/export`),
    ]) {
      const { status } = await fetch(server.base + path);
      assert.ok(status < 500, `${table}: ${path} ${status}`);
    }
    await server.stop();
  }
});
