import assert from 'node:assert/strict';
import { join } from 'node:path';
import test from 'node:test';
import Database from 'better-sqlite3';
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
  for (const path of [
    '/',
    '/plans',
    '/plans/buy?plan=all',
    '/bench',
    '/log',
    '/log/run-done',
    '/bench/run-open',
  ])
    assert.match(await page(path), /<\/html>/, path);
  // The plan that names what can't be read says so on its card, and the endpoint says which record it is.
  assert.match(await page('/plans'), /Can’t be shown: The record/);
  const [{ id }] = (await send(server.base, 'GET', '/api/plans')).body;
  const answer = await send(server.base, 'GET', `/api/plans/${id}/export`);
  assert.deepEqual([answer.status, answer.body.code], [422, 'broken-record']);
});
