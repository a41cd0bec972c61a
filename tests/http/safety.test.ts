import assert from 'node:assert/strict';
import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { join } from 'node:path';
import test, { type TestContext } from 'node:test';
import { setTimeout as after } from 'node:timers/promises';
import Database from 'better-sqlite3';
import { base, planFile } from '../support/planFiles';
import { nextEvent } from '../support/runs';
import { freePort, listen, runToEnd, send, startServer, temporaryFolder } from '../support/server';

const file = planFile([{}]);

async function served(t: TestContext) {
  const { path, remove } = temporaryFolder();
  const server = await startServer(path);
  t.after(async () => {
    await server.stop();
    remove();
  });
  return { folder: path, server, database: join(path, 'workshop.sqlite') };
}

const script = (name: string, words: string[]) =>
  spawnSync(process.execPath, ['--import', 'tsx', `scripts/${name}.ts`, ...words], { encoding: 'utf8' });

const named = (name: string) => ({ ...base(), id: undefined, name });

test('a second server on one folder says so in one sentence and stops; the first goes on', async (t) => {
  const { folder, server } = await served(t);
  const second = await runToEnd(['--data', folder, '--port', String(await freePort())]);
  assert.equal(second.code, 1);
  assert.match(second.printed, /^Idle Tallow is open on .* already.*--data\.$/);
  // Nor is it wiped under its hands.
  const reset = await runToEnd(['--demo', '--reset', '--data', folder, '--port', String(await freePort())]);
  assert.deepEqual(
    [reset.code, /^Idle Tallow is open on .*--data\.$/.test(reset.printed)],
    [1, true],
    reset.printed,
  );
  assert.equal((await send(server.base, 'POST', '/api/plans/import', file)).status, 201);
  const restored = script('restore', [join(folder, 'none.zip'), '--data', folder]);
  assert.match(restored.stderr, /There is no file/);
  writeFileSync(join(folder, 'some.zip'), 'junk');
  const open = script('restore', [join(folder, 'some.zip'), '--data', folder]);
  const refused = /brought back while it is closed/.test(open.stderr);
  assert.deepEqual([open.status, refused], [1, true], open.stderr);
});

test('a file that another program holds is waited for while others are answered, then told as what it is', async (t) => {
  const { server, database } = await served(t);
  const other = new Database(database);
  t.after(() => other.close());
  const post = () => send(server.base, 'POST', '/api/materials', named(`Held ${Math.random()}`));
  const look = async () => (await fetch(`${server.base}/plans`)).status;
  await look(); // What a page loads the first time is loaded now: a slow machine must not use up the wait with it.
  other.exec('BEGIN IMMEDIATE');
  const waiting = post();
  assert.deepEqual([await look(), await look(), await look()], [200, 200, 200]);
  other.exec('ROLLBACK');
  assert.equal((await waiting).status, 201);
  other.exec('BEGIN IMMEDIATE');
  const refused = await post();
  assert.deepEqual([refused.status, refused.body.code], [503, 'locked']);
  assert.match(refused.body.detail, /Another program holds/);
  other.exec('ROLLBACK');
  assert.equal((await post()).status, 201);
  assert.equal((await send(server.base, 'GET', '/api/materials')).body.length, 2);
});

test('a tick or a record that arrives while the file is held by then is waited for', async (t) => {
  const { server, database } = await served(t);
  const planId = (await send(server.base, 'POST', '/api/plans/import', file)).body.id;
  const run = (await send(server.base, 'POST', '/api/runs', { id: crypto.randomUUID(), planId })).body;
  const other = new Database(database);
  t.after(() => other.close());
  const look = async () => (await fetch(`${server.base}/plans`)).arrayBuffer();
  for (const [path, body] of [
    [`/api/runs/${run.id}/events`, { eventId: crypto.randomUUID(), event: nextEvent(run) }],
    ['/api/materials', named('Sent slowly')],
  ] as const) {
    const sent = request(server.base + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: server.base, expect: '100-continue' },
    });
    const answer = once(sent, 'response');
    sent.flushHeaders();
    await once(sent, 'continue');
    // By now the server has seen that nobody holds it.
    await look();
    other.exec('BEGIN IMMEDIATE');
    sent.end(JSON.stringify(body));
    await look();
    await look();
    other.exec('ROLLBACK');
    const [{ statusCode }] = await answer;
    assert.equal(statusCode, 201, path);
  }
});

test('a copy taken in the middle of a stream of writes holds every write that was answered before it began', async (t) => {
  const { folder, server } = await served(t);
  let answered = 0;
  let isWriting = true;
  const writing = (async () => {
    while (isWriting) {
      const { status } = await send(server.base, 'POST', '/api/materials', named(`Written ${answered}`));
      assert.equal(status, 201);
      answered++;
    }
  })();
  const counts: [number, number][] = [];
  for (let round = 0; round < 3; round++) {
    while (answered < 20 * (round + 1)) await after(5);
    const before = answered;
    const zip = join(folder, `copy-${round}.zip`);
    const done = spawn(process.execPath, ['--import', 'tsx', 'scripts/backup.ts', zip, '--data', folder]);
    await new Promise((resolve) => done.once('exit', resolve));
    counts.push([before, answered]);
  }
  const whole = await fetch(`${server.base}/api/copies/whole`);
  writeFileSync(join(folder, 'copy-3.zip'), Buffer.from(await whole.arrayBuffer()));
  isWriting = false;
  await writing;
  counts.push([counts.at(-1)?.[1] ?? 0, answered]);
  for (const [round, [least, most]] of counts.entries()) {
    const into = temporaryFolder();
    t.after(() => into.remove());
    const back = script('restore', [join(folder, `copy-${round}.zip`), '--data', into.path, '--yes']);
    assert.equal(back.status, 0, back.stderr);
    const db = new Database(join(into.path, 'workshop.sqlite'), { readonly: true });
    const { count } = db.prepare<[], { count: number }>('SELECT count(*) AS count FROM materials').get() ?? {
      count: 0,
    };
    assert.equal(db.pragma('integrity_check', { simple: true }), 'ok');
    db.close();
    assert.ok(count >= least && count <= most + 1, `${count} of ${least} to ${most}`);
  }
});

test('a copy is looked into and brought back over the page’s endpoints, and the way back is kept', async (t) => {
  const { folder, server } = await served(t);
  await send(server.base, 'POST', '/api/plans/import', file);
  const zip = Buffer.from(await (await fetch(`${server.base}/api/copies/whole`)).arrayBuffer());
  await send(server.base, 'POST', '/api/plans/import', planFile([{}, {}], { name: 'Second' }));
  const look = async (body: BodyInit, type: string) => {
    const answer = await fetch(`${server.base}/api/copies/look`, {
      method: 'POST',
      body,
      headers: { 'content-type': type },
    });
    return { status: answer.status, body: await answer.json() };
  };
  const junk = await look('junk', 'application/zip');
  assert.deepEqual([junk.status, junk.body.code], [422, 'no-copy']);
  const { body } = await look(new Uint8Array(zip), 'application/zip');
  assert.equal(body.holds.plans, 1);
  assert.equal((await send(server.base, 'GET', '/api/plans')).body.length, 2);
  const back = await send(server.base, 'POST', '/api/copies/bring-back', { id: body.id });
  assert.deepEqual([back.status, (await send(server.base, 'GET', '/api/plans')).body.length], [200, 1]);
  // It waits no more; what was there comes back the same way.
  assert.equal((await send(server.base, 'POST', '/api/copies/bring-back', { id: body.id })).status, 404);
  const again = await look(JSON.stringify({ name: back.body.keptAs }), 'application/json');
  assert.equal(again.body.holds.plans, 2);
  await send(server.base, 'POST', '/api/copies/bring-back', { id: again.body.id });
  assert.equal((await send(server.base, 'GET', '/api/plans')).body.length, 2);
  assert.equal((await send(server.base, 'POST', '/api/plans/import', file)).status, 201);
  // In open formats it comes back the same way; what people read of it is a file of its own, too.
  const plans = (await send(server.base, 'GET', '/api/plans')).body;
  const open = await fetch(`${server.base}/api/copies/whole?in=open-formats`);
  const opened = await look(new Uint8Array(await open.arrayBuffer()), 'application/zip');
  assert.deepEqual([open.status, opened.body.holds.plans], [200, 3]);
  const returned = await send(server.base, 'POST', '/api/copies/bring-back', { id: opened.body.id });
  assert.deepEqual([returned.status, (await send(server.base, 'GET', '/api/plans')).body], [200, plans]);
  assert.equal((await fetch(`${server.base}/api/copies/whole?in=constructor`)).status, 422);
  for (const path of ['/api/log/csv', '/api/log/csv?of=weights&style=semicolon', '/api/shelf/csv?of=stock'])
    assert.match(await (await fetch(server.base + path)).text(), /^\uFEFF?\w+[,;]/, path);
  for (const name of ['../workshop.sqlite', 'constructor', '']) {
    const { status } = await look(JSON.stringify({ name }), 'application/json');
    assert.ok(status === 404 || status === 422, name);
  }
  assert.deepEqual(
    readdirSync(folder).filter((name) => /\.tmp$|^waiting/.test(name)),
    [],
  );
});

test('a disk that is full is told as that, what was saved is whole, and health says so', async (t) => {
  const { path, remove } = temporaryFolder();
  t.after(() => remove());
  const first = await startServer(path);
  await send(first.base, 'POST', '/api/plans/import', file);
  await first.stop();
  // No file of this process may grow beyond 700 kB; the system then refuses, as a full disk does.
  const port = await freePort();
  const limited = `trap '' XFSZ; ulimit -f 700; exec "$0" scripts/serve.mjs --data "$1" --port ${port}`;
  const server = await listen(spawn('bash', ['-c', limited, process.execPath, path]), port);
  t.after(() => server.stop());
  let saved = 0;
  let last = { status: 0, body: {} as { code?: string; detail?: string } };
  for (let turn = 0; turn < 400 && last.status !== 507; turn++) {
    last = await send(server.base, 'POST', '/api/materials', {
      ...named(`Full ${turn}`),
      note: 'x'.repeat(1900),
    });
    if (last.status === 201) saved++;
  }
  assert.deepEqual([last.status, last.body.code], [507, 'disk-full']);
  assert.match(last.body.detail ?? '', /The disk is full.*Free some space/);
  assert.equal((await send(server.base, 'GET', '/api/materials')).body.length, saved + 1);
  await server.stop();
  const again = await startServer(path);
  t.after(() => again.stop());
  assert.equal((await send(again.base, 'GET', '/api/materials')).body.length, saved + 1);
  const health = await send(again.base, 'GET', '/api/health');
  assert.equal(health.body.status, 'ok');
  assert.ok(health.body.freeBytes > 0);
});

test('a damaged workshop is not opened: one sentence with the command that brings the last copy back, which works', async (t) => {
  const { path, remove } = temporaryFolder();
  t.after(() => remove());
  const first = await startServer(path);
  await send(first.base, 'POST', '/api/plans/import', file);
  await first.stop();
  // The day's copy is made when a server starts.
  const second = await startServer(path);
  while (
    !existsSync(join(path, 'backups')) ||
    !readdirSync(join(path, 'backups')).some((name) => name.endsWith('.sqlite'))
  )
    await after(50);
  await second.stop();
  const database = join(path, 'workshop.sqlite');
  const bytes = readFileSync(database);
  bytes.fill(0x5a, 4096, 4096 * 8);
  writeFileSync(database, bytes);
  const refused = await runToEnd(['--data', path, '--port', String(await freePort())]);
  assert.equal(refused.code, 1);
  const command = /npm run restore -- "(.*)" --data "(.*)"$/.exec(refused.printed);
  assert.ok(command?.[1] && command[2], refused.printed);
  const back = script('restore', [command[1], '--data', command[2], '--yes']);
  assert.equal(back.status, 0, back.stderr);
  const third = await startServer(path);
  t.after(() => third.stop());
  assert.equal((await send(third.base, 'GET', '/api/plans')).body.length, 1);
});
