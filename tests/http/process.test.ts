import assert from 'node:assert/strict';
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { join, resolve } from 'node:path';
import test from 'node:test';
import Database from 'better-sqlite3';
import { nodeFault, whyNotInstalled } from '../../scripts/setup.mjs';
import { fragrance, planFile } from '../support/planFiles';
import { freePort, listen, runToEnd, send, startServer, temporaryFolder } from '../support/server';

const file = planFile([{ doses: [[fragrance(), '2 %']] }]);

test('kill -9 in a stream of ticks: every tick that was answered is there after the restart', async () => {
  const folder = temporaryFolder();
  const server = await startServer(folder.path);
  const { body: plan } = await send(server.base, 'POST', '/api/plans/import', file);
  const runId = crypto.randomUUID();
  await send(server.base, 'POST', '/api/runs', { id: runId, planId: plan.id });

  const answered: string[] = [];
  const ticking = (async () => {
    // One task ticked and undone, over and over, until the server is gone.
    for (let turn = 0; turn < 100_000; turn++) {
      const eventId = crypto.randomUUID();
      const event =
        turn % 2 === 0
          ? { kind: 'weighed', taskId: 'r1/A/l1/base', massG: turn + 1 }
          : { kind: 'undone', taskId: 'r1/A/l1/base' };
      try {
        const answer = await send(server.base, 'POST', `/api/runs/${runId}/events`, { eventId, event });
        assert.equal(answer.status, 201);
        answered.push(JSON.stringify(event));
      } catch {
        return;
      }
    }
  })();
  while (answered.length < 60) await new Promise((resolve) => setTimeout(resolve, 10));
  await server.stop('SIGKILL');
  await ticking;

  const again = await startServer(folder.path);
  const { body: run } = await send(again.base, 'GET', `/api/runs/${runId}`);
  const kept: string[] = run.events.map(({ event }: { event: unknown }) => JSON.stringify(event));
  // One more may have been written whose answer did not get through.
  assert.deepEqual(kept.slice(0, answered.length), answered);
  assert.ok(kept.length <= answered.length + 1, `${kept.length} kept, ${answered.length} answered`);
  await again.stop();

  const db = new Database(join(folder.path, 'workshop.sqlite'));
  assert.equal(db.pragma('integrity_check', { simple: true }), 'ok');
  db.close();
  folder.remove();
});

test('SIGTERM, SIGINT and SIGHUP stop cleanly: a request in hand is answered, the database closed', async () => {
  for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP'] as const) {
    const folder = temporaryFolder();
    const server = await startServer(folder.path);
    const text = JSON.stringify(file);
    const inHand = request({
      host: '127.0.0.1',
      port: server.port,
      method: 'POST',
      path: '/api/plans/import',
      headers: { 'content-type': 'application/json', 'content-length': Buffer.byteLength(text) },
    });
    const answered = once(inHand, 'response');
    inHand.write(text.slice(0, 100));
    await new Promise((resolve) => setTimeout(resolve, 300));
    const stopped = server.stop(signal);
    await new Promise((resolve) => setTimeout(resolve, 300));
    inHand.end(text.slice(100));
    const [response] = await answered;
    assert.equal(response.statusCode, 201, signal);
    response.resume();
    assert.equal(await stopped, 0, signal);
    assert.equal(
      existsSync(join(folder.path, 'workshop.sqlite-wal')),
      false,
      'the log is written back at the close',
    );
    const db = new Database(join(folder.path, 'workshop.sqlite'), { readonly: true });
    assert.equal(db.prepare('SELECT count(*) FROM plans').pluck().get(), 1);
    db.close();
    folder.remove();
  }
});

test('clients that go away leave nothing in the log, a signal opens no debugger, and who listens does not hold up the stop', async () => {
  const folder = temporaryFolder();
  const server = await startServer(folder.path);
  const health = () => send(server.base, 'GET', '/api/health');
  const headers = { 'content-type': 'application/json', 'content-length': 5000 };
  for (const path of ['/api/plans/import', '/api/copies/look', '/api/sheet']) {
    const left = request({ host: '127.0.0.1', port: server.port, method: 'POST', path, headers });
    left.on('error', () => {});
    left.write('{"half":');
    await health();
    left.destroy();
    await health();
  }
  const listening = await fetch(`${server.base}/api/changes`);
  assert.equal(listening.headers.get('content-type'), 'text/event-stream');
  const page = request({ host: '127.0.0.1', port: server.port, path: '/plans' });
  page.on('error', () => {});
  page.end();
  page.destroy();
  server.process.kill('SIGUSR1');
  await health();
  const began = server.printed().split('\n').filter(Boolean);
  assert.deepEqual(began.length, 1, server.printed());
  assert.equal(await server.stop(), 0);
  assert.doesNotMatch(server.printed(), /Debugger|Error|problem/);
  await listening.body?.cancel();
  folder.remove();
});

test('a file of the application that is gone while it is served costs that answer only, and is told', async () => {
  const folder = temporaryFolder();
  const built = temporaryFolder();
  symlinkSync(resolve('dist/server'), join(built.path, 'server'));
  const client = join(built.path, 'client');
  mkdirSync(client);
  const port = await freePort();
  writeFileSync(join(client, 'gone.css'), 'p {}');
  const words = [built.path, '--data', folder.path, '--port', String(port)];
  const server = await listen(spawn(process.execPath, ['tests/support/serveBuilt.mjs', ...words]), port);
  const file = () => fetch(`${server.base}/gone.css`).then((answer) => answer.text());
  assert.equal(await file(), 'p {}');
  rmSync(client, { recursive: true });
  await assert.rejects(file());
  assert.equal((await send(server.base, 'GET', '/api/health')).status, 200);
  assert.match(server.printed(), /gone\.css.* start Idle Tallow again/i);
  assert.equal(await server.stop(), 0);
  for (const each of [folder, built]) each.remove();
});

test('SIGTERM to npm reaches the server', async () => {
  const folder = temporaryFolder();
  const port = await freePort();
  const npm = spawn('npm', ['start', '--silent', '--', '--data', folder.path, '--port', String(port)]);
  const server = await listen(npm, port);
  await server.stop('SIGTERM');
  const gone = async () => {
    for (let tries = 0; tries < 100; tries++) {
      const answers = await fetch(server.base).catch(() => null);
      if (answers === null) return true;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    return false;
  };
  assert.ok(await gone());
  folder.remove();
});

test('what keeps it from starting is one clear sentence and exit code 1', async () => {
  const folder = temporaryFolder();
  const server = await startServer(folder.path);
  const taken = await runToEnd(['--data', folder.path, '--port', String(server.port)]);
  await server.stop();

  const newer = new Database(join(folder.path, 'workshop.sqlite'));
  newer.pragma('user_version = 999');
  newer.close();
  const tooNew = await runToEnd(['--data', folder.path, '--port', String(await freePort())]);

  const inTheWay = join(folder.path, 'a-file');
  writeFileSync(inTheWay, '');
  // Where the system has it, a file system that takes no folder at all.
  const proc = existsSync('/proc/self') ? '/proc/no-such/data' : join(inTheWay, 'other');
  const noFolder = await runToEnd(['--data', proc, '--port', String(await freePort())]);
  const unwritable = await runToEnd(['--data', join(inTheWay, 'data'), '--port', String(await freePort())]);

  const cases: [{ code: number; printed: string }, RegExp][] = [
    [taken, /^Port \d+ is taken.*--port \d+\.$/],
    [tooNew, /^The workshop's database is at step 999.*nothing was changed\.$/],
    [unwritable, /^The data folder can't be used: .*\. Choose another with --data\.$/],
    [noFolder, /^The data folder can't be used: .*\. Choose another with --data\.$/],
    [await runToEnd(['--port', 'eighty']), /^--port eighty is not a port/],
    [await runToEnd(['--port', '70000']), /^--port 70000 is not a port/],
    [await runToEnd(['--reset']), /^--reset belongs to the demo/],
    [await runToEnd(['--colour']), /--colour/],
  ];
  for (const [{ code, printed }, words] of cases) {
    assert.equal(code, 1, printed);
    assert.match(printed, words);
    assert.equal(printed.split('\n').length, 1, printed);
  }
  folder.remove();
});

test('an old Node and a missing compiler are named', () => {
  assert.match(nodeFault('18.19.0') ?? '', /needs Node\.js 20\.10 or newer, and this is 18\.19\.0/);
  assert.match(nodeFault('20.9.0') ?? '', /20\.9\.0/);
  assert.equal(nodeFault('20.10.0'), null);
  assert.equal(nodeFault('24.1.0'), null);
  const sentence = whyNotInstalled('gyp ERR! better-sqlite3', (tool: string) => tool === 'python3');
  assert.match(sentence, /make and g\+\+ are missing\. On Debian: apt-get install build-essential python3/);
  assert.match(
    whyNotInstalled('network is down', () => true),
    /network is down/,
  );
});

test('the demo is seeded once, keeps what is changed, and starts over with --reset; npm start never seeds', async () => {
  const folder = temporaryFolder();
  const plansOf = async (base: string) => (await send(base, 'GET', '/api/plans')).body.length as number;
  const first = await startServer(folder.path, ['--demo']);
  const seeded = await plansOf(first.base);
  assert.ok(seeded >= 2);
  await send(first.base, 'POST', '/api/plans/import', file);
  await first.stop();
  const second = await startServer(folder.path, ['--demo']);
  assert.equal(await plansOf(second.base), seeded + 1);
  await second.stop();
  const third = await startServer(folder.path, ['--demo', '--reset']);
  assert.equal(await plansOf(third.base), seeded);
  await third.stop();
  const own = temporaryFolder();
  const empty = await startServer(own.path);
  assert.equal(await plansOf(empty.base), 0);
  await empty.stop();
  own.remove();
  folder.remove();
});
