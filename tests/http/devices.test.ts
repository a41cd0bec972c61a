import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { request as ask, type IncomingHttpHeaders } from 'node:http';
import { join } from 'node:path';
import test, { type TestContext } from 'node:test';
import { planFile } from '../support/planFiles';
import { send, startServer, temporaryFolder } from '../support/server';

/** Another address of this machine stands for one of its network. */
const NETWORK = '127.0.0.2';

interface Got {
  status: number;
  headers: IncomingHttpHeaders;
  text: string;
}

/** A request as a device sends it, with any Host and cookie. */
function from(port: number, method: string, path: string, more: Record<string, string> = {}, body = '') {
  return new Promise<Got>((resolve, reject) => {
    const headers = { host: `${NETWORK}:${port}`, ...more };
    const sent = ask({ host: NETWORK, port, method, path, headers }, (response) => {
      let text = '';
      response.setEncoding('utf8').on('data', (piece) => {
        text += piece;
      });
      response.on('end', () =>
        resolve({ status: response.statusCode ?? 0, headers: response.headers, text }),
      );
    });
    sent.on('error', reject);
    sent.end(body);
  });
}

const FORM = { 'content-type': 'application/x-www-form-urlencoded' };
const JSON_BODY = { 'content-type': 'application/json' };

async function shared(t: TestContext, words = ['--share-at', NETWORK]) {
  const folder = temporaryFolder();
  const server = await startServer(folder.path, words);
  t.after(async () => {
    await server.stop();
    folder.remove();
  });
  const { base, port } = server;
  const device = (method: string, path: string, more = {}, body = '') => from(port, method, path, more, body);
  const codeFrom = (text: string) => /\/let-in\?code=([\w-]+)/.exec(text)?.[1] ?? '';
  const invited = async () => codeFrom((await send(base, 'POST', '/api/devices/invite')).body.url);
  const letIn = (code: string, name: string) =>
    device('POST', '/let-in', FORM, new URLSearchParams({ code, name }).toString());
  return { folder: folder.path, server, base, port, device, codeFrom, invited, letIn };
}

test('a tablet is let in by a code, once; it works at the bench and reads, does more where the owner says so, and is removed', async (t) => {
  const { folder, server, base, device, codeFrom, invited, letIn } = await shared(t);
  assert.match(server.printed(), /Devices of this network reach it at http:\/\/127\.0\.0\.2:/);
  const plan = (await send(base, 'POST', '/api/plans/import', planFile([{}]))).body;
  // Whoever was not let in gets one plain answer, whatever it asks for.
  const refusals = await Promise.all(
    [
      ['GET', '/'],
      ['GET', '/api/health'],
      ['GET', '/favicon.svg'],
      ['GET', '/_astro/nothing.js'],
      ['POST', '/api/plans/import'],
      ['GET', '/let-in'],
      ['TRACE', '/'],
    ].map(([method, path]) => device(method ?? '', path ?? '')),
  );
  assert.deepEqual(new Set(refusals.map(({ status, text }) => `${status} ${text}`)).size, 1);
  assert.deepEqual([refusals[0]?.status, /not let in/.test(refusals[0]?.text ?? '')], [403, true]);

  const code = codeFrom(server.printed());
  // What only looks at the link (a preview of it) uses nothing up; a device needs a name.
  assert.equal((await device('GET', `/let-in?code=${code}`)).status, 200);
  assert.match((await letIn(code, '  ')).text, /What is this device called/);
  const elsewhere = { ...FORM, origin: 'http://elsewhere.example' };
  assert.equal((await device('POST', '/let-in', elsewhere, `code=${code}&name=x`)).status, 403);
  const done = await letIn(code, 'Tablet <b>');
  const set = String(done.headers['set-cookie']);
  assert.equal(done.status, 303);
  assert.match(set, /^tallow-device=[\w.-]+; HttpOnly; SameSite=Strict; Path=\/; Max-Age=\d+$/);
  assert.equal((await letIn(code, 'Second')).status, 403);

  const cookie = { cookie: set.split(';')[0] ?? '' };
  const asTablet = (method: string, path: string, body?: unknown) =>
    device(method, path, { ...cookie, ...JSON_BODY }, body === undefined ? '' : JSON.stringify(body));
  for (const path of ['/bench', '/plans', '/api/plans', '/favicon.svg'])
    assert.equal((await asTablet('GET', path)).status, 200, path);
  const runId = crypto.randomUUID();
  assert.equal((await asTablet('POST', '/api/runs', { id: runId, planId: plan.id })).status, 201);
  const run = (await send(base, 'GET', `/api/runs/${runId}`)).body;
  const weighed = { kind: 'weighed', taskId: run.snapshot.tasks[0].id, massG: 600 };
  const event = { eventId: crypto.randomUUID(), event: weighed, source: { deviceId: 'somebody' } };
  const ticked = await asTablet('POST', `/api/runs/${runId}/events`, event);
  const [{ id, name }] = (await send(base, 'GET', '/api/devices')).body.devices;
  assert.deepEqual([ticked.status, name], [201, 'Tablet <b>']);
  assert.equal(JSON.parse(ticked.text).events[0].source.deviceId, id);

  const change = { plan: { ...plan.plan, note: 'From the tablet' }, revision: plan.revision };
  const refused = await asTablet('PUT', `/api/plans/${plan.id}`, change);
  assert.deepEqual([refused.status, JSON.parse(refused.text).code], [403, 'bench-only']);
  for (const [method, path] of [
    ['GET', '/api/copies/whole'],
    ['GET', '/devices'],
    ['GET', '/api/devices'],
    ['POST', '/api/devices/invite'],
    ['PUT', `/api/devices/${id}`],
    ['PUT', '/api/copies/second-place'],
  ] as const)
    assert.equal(
      (await asTablet(method, path, method === 'GET' ? undefined : { may: 'all' })).status,
      403,
      path,
    );
  await send(base, 'PUT', `/api/devices/${id}`, { may: 'all' });
  assert.equal((await asTablet('PUT', `/api/plans/${plan.id}`, change)).status, 200);
  assert.equal((await asTablet('GET', '/api/copies/whole')).status, 403);

  // From another site, by another name, or with a header that only the server may set: refused.
  const odd = { ...cookie, origin: 'http://elsewhere.example' };
  assert.equal((await device('POST', '/api/plans/import', { ...odd, ...JSON_BODY }, '{}')).status, 403);
  assert.equal((await device('GET', '/bench', { ...cookie, host: 'elsewhere.example' })).status, 403);
  assert.equal((await device('GET', '/bench', { 'x-tallow-device': `${id} all` })).status, 403);
  const local = await fetch(`${base}/devices`, { headers: { 'x-tallow-device': `${id} bench` } });
  assert.equal(local.status, 200);

  // Secrets are kept as hashes, beside the database and in no copy.
  const [, secret = ''] = /\.([\w-]+)$/.exec(cookie.cookie) ?? [];
  const kept = readFileSync(join(folder, 'devices.json'), 'utf8');
  assert.ok(secret.length === 32 && !kept.includes(secret));
  assert.ok(!readFileSync(join(folder, 'workshop.sqlite')).includes(id));

  await send(base, 'DELETE', `/api/devices/${id}`);
  assert.equal((await asTablet('GET', '/bench')).status, 403);

  // An instrument has a secret of its own: it sends readings, and nothing else.
  const { device: scale, token } = (await send(base, 'POST', '/api/devices/instruments', { name: 'Scale' }))
    .body;
  const authorized = { authorization: `Bearer ${token}`, 'content-type': 'text/plain' };
  const readings = '/api/instruments/Scale/readings';
  assert.deepEqual(JSON.parse((await device('POST', readings, authorized, 'ST 12.4 g')).text), { taken: 1 });
  // The air of the rack is such a reading.
  const air = JSON.stringify({ id: crypto.randomUUID(), tempC: 20.5, humidity: 0.61 });
  const json = { ...authorized, 'content-type': 'application/json' };
  assert.equal((await device('POST', '/api/rack/air', json, air)).status, 201);
  assert.equal((await send(base, 'GET', '/api/rack/air')).body.humidity, 0.61);
  for (const [method, path] of [
    ['GET', '/bench'],
    ['GET', '/api/rack/air'],
    ['GET', '/api/plans'],
    ['POST', '/api/runs'],
    ['POST', `/api/runs/${runId}/events`],
    ['GET', '/api/devices'],
  ] as const)
    assert.equal((await device(method, path, authorized, method === 'GET' ? '' : '{}')).status, 403, path);
  const wrong = { ...authorized, authorization: `Bearer ${scale.id}.${'x'.repeat(32)}` };
  assert.equal((await device('POST', readings, wrong, 'ST 12.4 g')).status, 403);
  assert.ok(!readFileSync(join(folder, 'devices.json'), 'utf8').includes(token.split('.')[1]));
  assert.equal((await send(base, 'POST', '/api/devices/instruments', { name: ' ' })).status, 422);
  await send(base, 'DELETE', `/api/devices/${scale.id}`);
  assert.equal((await device('POST', readings, authorized, 'ST 12.4 g')).status, 403);

  // A copy that is brought back lets nobody in.
  const again = await letIn(await invited(), 'Again');
  const second = { cookie: String(again.headers['set-cookie']).split(';')[0] ?? '' };
  assert.equal((await device('GET', '/bench', second)).status, 200);
  const zip = await (await fetch(`${base}/api/copies/whole`)).arrayBuffer();
  const looked = await fetch(`${base}/api/copies/look`, {
    method: 'POST',
    body: zip,
    headers: { 'content-type': 'application/zip' },
  });
  await send(base, 'POST', '/api/copies/bring-back', { id: (await looked.json()).id });
  assert.equal((await device('GET', '/bench', second)).status, 403);

  // Who tries codes is not listened to for a while, right as the last may be.
  const right = await invited();
  for (let attempt = 0; attempt < 10; attempt++) await letIn('a'.repeat(32), 'x');
  assert.equal((await letIn(right, 'x')).status, 403);
});

test('without being told to, it answers at this machine only; the page switches it on and off', async (t) => {
  const { base, device } = await shared(t, []);
  await assert.rejects(device('GET', '/'), /ECONNREFUSED/);
  assert.equal((await send(base, 'POST', '/api/devices/invite')).body.code, 'no-network');
  const state = (await send(base, 'GET', '/api/devices')).body;
  assert.deepEqual([state.isPossible, state.isOn, state.devices], [true, false, []]);
});
