import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { type IncomingMessage, request } from 'node:http';
import { join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import test, { after, before } from 'node:test';
import Database from 'better-sqlite3';
import { NO_MOLD } from '../../src/core/molds/noMold';
import { additive, BOX, base, fragrance, mold, planFile } from '../support/planFiles';
import { type RunningServer, send, sendText, startServer, temporaryFolder } from '../support/server';

const folder = temporaryFolder();
let server: RunningServer;
before(async () => {
  server = await startServer(folder.path);
});
after(async () => {
  await server.stop();
  folder.remove();
});

const file = planFile([
  {
    doses: [
      [fragrance(), '2 %'],
      [additive(), '0.27 oz'],
    ],
  },
]);

/** A request with headers that fetch would not let through. */
async function rawRequest(path: string, headers: Record<string, string> = {}, method = 'GET') {
  const response = await new Promise<IncomingMessage>((resolve, reject) => {
    request({ host: '127.0.0.1', port: server.port, path, method, headers }, resolve)
      .on('error', reject)
      .end(method === 'POST' || method === 'PUT' ? '{}' : undefined);
  });
  const body = await buffer(response);
  return {
    status: response.statusCode ?? 0,
    headers: response.headers,
    bytes: body.length,
    text: body.toString(),
  };
}

test('the pour plan of a file: layers, tasks in words, and findings; a file that is none is refused by its fields', async () => {
  const whole = planFile([{ size: '8 mm' }, { size: 'rest', when: { afterMin: 60 } }], {}, BOX);
  const { status, body } = await send(server.base, 'POST', '/api/pour-plan', whole);
  assert.equal(status, 200);
  assert.equal(body.pourPlan.layers.length, 2);
  assert.ok(body.pourPlan.samples > 0);
  assert.match(body.pourPlan.tasks[0].said, /^Cut and weigh /);
  assert.ok(body.findings.some(({ code }: { code: string }) => code === 'heat-weak-bond'));
  const again = await send(server.base, 'POST', '/api/pour-plan', whole);
  assert.deepEqual(again.body, body);
  const [first] = whole.plan.pours;
  const refused = await send(server.base, 'POST', '/api/pour-plan', {
    ...whole,
    plan: { ...whole.plan, pours: [{ ...first, when: { atC: 900 } }] },
  });
  assert.equal(refused.status, 422);
  assert.match(JSON.stringify(refused.body.errors), /atC/);
  const batch = { by: 'base', massG: 600, text: '600 g', gives: 'pieces' };
  const unmolded = { ...whole, mold: NO_MOLD, plan: { ...whole.plan, moldId: NO_MOLD.id, batch } };
  const untold = await send(server.base, 'POST', '/api/pour-plan', unmolded);
  assert.deepEqual([untold.status, untold.body.pourPlan], [200, null]);
});

test('a plan file goes in, comes out the same, and gives the same sheet without being stored', async () => {
  const taken = await send(server.base, 'POST', '/api/plans/import', file);
  assert.equal(taken.status, 201);
  const exported = await send(server.base, 'GET', `/api/plans/${taken.body.id}/export`);
  assert.deepEqual(exported.body, file);
  const plans = (await send(server.base, 'GET', '/api/plans')).body.length;
  const there = await send(server.base, 'POST', '/api/sheet', exported.body);
  const here = await send(server.base, 'POST', '/api/sheet', file);
  assert.equal(there.status, 200);
  assert.deepEqual(there.body, here.body);
  assert.equal((await send(server.base, 'GET', '/api/plans')).body.length, plans);
});

test('two saves against one revision: the second is told what changed', async () => {
  const { body: stored } = await send(server.base, 'POST', '/api/plans/import', file);
  const save = (name: string) =>
    send(server.base, 'PUT', `/api/plans/${stored.id}`, {
      plan: { ...stored.plan, name },
      revision: stored.revision,
    });
  const [first, second] = [await save('first'), await save('second')];
  assert.deepEqual([first.status, second.status], [200, 409]);
  assert.equal(second.type, 'application/problem+json');
  assert.equal(second.body.code, 'changed-elsewhere');
  assert.deepEqual(second.body.differences, [{ path: ['name'], mine: 'second', theirs: 'first' }]);
});

test('only this machine and its own pages are answered', async () => {
  const own = `127.0.0.1:${server.port}`;
  const cases: [string, Record<string, string>, string, number][] = [
    ['its own host', { host: own }, 'GET', 200],
    ['localhost', { host: `localhost:${server.port}` }, 'GET', 200],
    ['a foreign host', { host: 'soap.example' }, 'GET', 403],
    ['a host that begins like ours', { host: '127.0.0.1.example' }, 'GET', 403],
    ['a foreign origin', { host: own, origin: 'http://soap.example' }, 'GET', 403],
    [
      'a foreign origin with JSON',
      { host: own, origin: 'http://soap.example', 'content-type': 'application/json' },
      'POST',
      403,
    ],
    ['another port of this machine', { host: own, origin: 'http://127.0.0.1:1' }, 'POST', 403],
    ['an opaque origin', { host: own, origin: 'null' }, 'POST', 403],
    ['a request from another site', { host: own, 'sec-fetch-site': 'cross-site' }, 'GET', 403],
  ];
  for (const [what, headers, method, status] of cases) {
    assert.equal((await rawRequest('/api/plans', headers, method)).status, status, what);
  }
  assert.equal((await rawRequest('/favicon.svg', { host: 'soap.example' })).status, 403);
});

test('every answer is hardened, and pages allow no inline script', async () => {
  for (const path of ['/', '/plans', '/shelf', '/no-such-page', '/api/plans', '/api/nowhere']) {
    const { headers } = await fetch(server.base + path);
    assert.equal(headers.get('x-content-type-options'), 'nosniff', path);
    assert.equal(headers.get('referrer-policy'), 'no-referrer', path);
    assert.equal(headers.get('x-frame-options'), 'DENY', path);
    const policy = headers.get('content-security-policy') ?? '';
    assert.match(policy, /frame-ancestors 'none'/, path);
    const scripts = /script-src ([^;]*)/.exec(policy)?.[1] ?? '';
    assert.doesNotMatch(scripts, /unsafe/, path);
    assert.match(policy, /default-src '(self|none)'/, path);
  }
});

test('pages and endpoints that are not there say so, without a stack', async () => {
  const page = await fetch(`${server.base}/plans/no-such-plan`);
  assert.equal(page.status, 404);
  for (const [method, path] of [
    ['GET', '/api/nowhere'],
    ['DELETE', '/api/plans'],
    ['GET', '/api/plans/no-such-plan'],
    ['GET', '/api/plans/no-such-plan/export'],
    ['POST', '/api/plans/no-such-plan/duplicate'],
    ['GET', '/api/materials/nothing'],
    ['GET', '/api/molds/nothing'],
    ['GET', '/api/runs/nothing'],
  ] as const) {
    const answer = await send(server.base, method, path);
    assert.equal(answer.status, 404, path);
    assert.equal(answer.type, 'application/problem+json', path);
    assert.ok(answer.body.detail && answer.body.code);
  }
});

test('an address that can’t be read and a method that nothing answers get our own words', async () => {
  for (const path of ['/plans/%ff', '/%', '/plans/%E0%A4%A']) {
    const { status, text } = await rawRequest(path);
    assert.equal(status, 404, path);
    assert.match(text, /There is nothing at this address/, path);
  }
  const atApi = await rawRequest('/api/plans/%ff');
  assert.equal(atApi.status, 404);
  assert.equal(JSON.parse(atApi.text).code, 'no-such-endpoint');
  for (const method of ['TRACE', 'PROPFIND', 'PATCH']) {
    const { status, headers, text } = await rawRequest('/plans', {}, method);
    assert.deepEqual([status, headers.allow], [405, 'GET, HEAD, POST, PUT, DELETE, OPTIONS'], method);
    assert.match(text, new RegExp(`answers ${method}`));
  }
});

test('pages and files travel compressed, files as they were compressed once', async () => {
  const plain = { 'accept-encoding': 'identity' };
  const bytesOf = async (path: string, headers: Record<string, string>) => {
    const answer = await rawRequest(path, headers);
    return { bytes: answer.bytes, encoding: answer.headers['content-encoding'], headers: answer.headers };
  };
  const page = await rawRequest('/shelf', plain);
  const [script] = /\/_astro\/[\w.-]+\.js/.exec(page.text) ?? [];
  assert.ok(script, 'a script of the page');
  for (const path of ['/shelf', '/api/materials', script]) {
    const whole = await bytesOf(path, plain);
    const gzip = await bytesOf(path, { 'accept-encoding': 'gzip' });
    assert.deepEqual([whole.encoding, gzip.encoding], [undefined, 'gzip'], path);
    assert.ok(gzip.bytes < whole.bytes / 2 || whole.bytes < 2000, `${path}: ${gzip.bytes} of ${whole.bytes}`);
  }
  const brotli = await bytesOf(script, { 'accept-encoding': 'br, gzip' });
  assert.deepEqual(
    [brotli.encoding, brotli.headers['cache-control']],
    ['br', 'public, max-age=31536000, immutable'],
  );
});

test('a name that would end a script ends none: a page’s records are read as they are kept', async () => {
  const name = '</script><script>alert(1)</script><!-- \u2028 & "';
  const { id: _id, ...odd } = additive({ name });
  await send(server.base, 'POST', '/api/materials', odd);
  const { body: stored } = await send(
    server.base,
    'POST',
    '/api/plans/import',
    planFile([{}], { note: name }),
  );
  const { body: materials } = await send(server.base, 'GET', '/api/materials');
  const { body: plan } = await send(server.base, 'GET', `/api/plans/${stored.id}`);
  for (const [path, records] of [
    ['/shelf', materials],
    [`/plans/${stored.id}`, { stored: plan, materials: materials.map(({ item }: { item: object }) => item) }],
  ]) {
    const html = await (await fetch(server.base + path)).text();
    const [, text = ''] = /data-of="\w+">(.*?)<\/script>/s.exec(html) ?? [];
    assert.deepEqual(JSON.parse(text), records, path);
    assert.doesNotMatch(html, /<script>alert/);
  }
});

/** Values that people paste, type by accident, or send on purpose. */
const HOSTILE: unknown[] = [
  '',
  '2,5',
  '½',
  -1,
  '-1',
  null,
  'NaN',
  'x'.repeat(10_000),
  '<script>alert(1)</script>',
  'no-such-id',
  true,
  [],
  {},
  0.5,
  1e308,
  '\u0000',
  ['a', ['b']],
  { constructor: 1 },
];

/** Every leaf and branch of a JSON value, as a path. */
function pathsOf(value: unknown, path: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [path];
  return [path, ...Object.entries(value).flatMap(([key, inner]) => pathsOf(inner, [...path, key]))];
}

function withAt(value: unknown, [key, ...rest]: (string | number)[], put: unknown): unknown {
  if (key === undefined) return put;
  const copy = structuredClone(value) as Record<string | number, unknown>;
  copy[key] = withAt(copy[key], rest, put);
  return copy;
}

test('a hostile value in any field of any body gets a clear answer, never a 500', async () => {
  const { body: stored } = await send(server.base, 'POST', '/api/plans/import', file);
  const { id: _material, ...newMaterial } = base();
  const { id: _mold, ...newMold } = mold();
  const runId = crypto.randomUUID();
  await send(server.base, 'POST', '/api/runs', { id: runId, planId: stored.id });
  const bodies: [string, string, unknown][] = [
    ['POST', '/api/sheet', file],
    ['PUT', `/api/plans/${stored.id}`, { plan: stored.plan, revision: 9999 }],
    ['POST', '/api/materials', newMaterial],
    ['POST', '/api/molds', newMold],
    ['PUT', '/api/materials/base-1', { item: base(), revision: 9999 }],
    ['POST', '/api/runs', { id: crypto.randomUUID(), planId: 'no-such-plan' }],
    [
      'POST',
      `/api/runs/${runId}/events`,
      { eventId: crypto.randomUUID(), event: { kind: 'weighed', taskId: 'A/none', massG: 1 } },
    ],
  ];
  let asked = 0;
  for (const [method, path, body] of bodies) {
    for (const at of pathsOf(body)) {
      const answers = await Promise.all(
        HOSTILE.map(async (value) => ({
          value,
          answer: await send(server.base, method, path, withAt(body, at, value)),
        })),
      );
      for (const { value, answer } of answers) {
        asked++;
        const what = `${method} ${path} ${at.join('.')} = ${String(JSON.stringify(value)).slice(0, 40)}`;
        assert.ok(answer.status < 500, `${what}: ${answer.status}`);
        if (answer.status < 400) continue;
        assert.equal(answer.type, 'application/problem+json', what);
        assert.ok(answer.body.code && answer.body.detail, what);
        if (answer.status !== 422) continue;
        const named: string[] = answer.body.errors.map((error: { path: string }) => error.path);
        assert.ok(named.length > 0, what);
        assert.ok(JSON.stringify(answer.body).length < 10_000, `${what}: the answer repeats the input`);
      }
    }
  }
  assert.ok(asked > 1000, String(asked));
  assert.equal((await send(server.base, 'GET', `/api/plans/${stored.id}`)).body.revision, stored.revision);
});

test('bodies that are no JSON, not whole, not text or far too large are refused by name', async () => {
  const whole = JSON.stringify(file);
  const cases: [string, string, number, string][] = [
    ['nothing', '', 400, 'empty-body'],
    ['cut off', whole.slice(0, whole.length / 2), 400, 'broken-json'],
    ['markup', '<plan/>', 400, 'broken-json'],
    ['a number that is none', whole.replace('"pieces":6', '"pieces":NaN'), 400, 'broken-json'],
    ['a number past all numbers', whole.replace('"pieces":6', '"pieces":1e400'), 422, 'invalid-field'],
    ['5 MB', whole + ' '.repeat(5_000_000), 413, 'too-large'],
    ['5 MB cut off', whole.slice(0, 100) + 'x'.repeat(5_000_000), 413, 'too-large'],
    ['a deep nest', '['.repeat(100_000), 400, 'broken-json'],
  ];
  for (const [what, text, status, code] of cases) {
    const answer = await sendText(server.base, 'POST', '/api/plans/import', text);
    assert.deepEqual([answer.status, answer.body.code], [status, code], what);
  }
  const plain = await fetch(`${server.base}/api/sheet`, { method: 'POST', body: whole });
  assert.deepEqual([plain.status, (await plain.json()).code], [415, 'not-json']);
  const bytes = await fetch(`${server.base}/api/sheet`, {
    method: 'POST',
    body: new Uint8Array([0x7b, 0xff, 0xfe]),
    headers: { 'content-type': 'application/json' },
  });
  assert.deepEqual([bytes.status, (await bytes.json()).code], [400, 'not-utf-8']);
});

test('a body whose length was promised wrongly is counted while it is read', async () => {
  const stream = new ReadableStream({
    start(controller) {
      const chunk = new TextEncoder().encode(' '.repeat(100_000));
      for (let sent = 0; sent < 15; sent++) controller.enqueue(chunk);
      controller.close();
    },
  });
  const answer = await fetch(`${server.base}/api/sheet`, {
    method: 'POST',
    body: stream,
    headers: { 'content-type': 'application/json' },
    duplex: 'half',
  } as RequestInit);
  assert.equal(answer.status, 413);
});

test('versions in an address are checked', async () => {
  const { body: stored } = await send(server.base, 'POST', '/api/plans/import', file);
  for (const [asked, status] of [
    ['1', 200],
    ['2', 404],
    ['0', 422],
    ['-1', 422],
    ['1e9', 422],
    ['½', 422],
    ['', 422],
  ] as const) {
    const answer = await send(server.base, 'GET', `/api/plans/${stored.id}?version=${asked}`);
    assert.equal(answer.status, status, asked);
  }
});

test('the published schemas are served', async () => {
  for (const version of [1, 2]) {
    const answer = await send(server.base, 'GET', `/api/schemas/plan-${version}`);
    assert.equal(answer.body.$id, `urn:idle-tallow:schema:plan-${version}`);
  }
  assert.equal((await send(server.base, 'GET', '/api/schemas/plan-3')).status, 404);
});

test('the example of docs/api.md is what the server answers', async () => {
  const [plan, answer] = [...readFileSync('docs/api.md', 'utf8').matchAll(/```json\n([\s\S]*?)```/g)].map(
    ([, json]) => JSON.parse(json ?? ''),
  );
  const { status, body } = await send(server.base, 'POST', '/api/sheet', plan);
  assert.equal(status, 200);
  assert.deepEqual(body, answer);
  // By hand: 6 · 104 · 0.95 / 0.97 = 611.134 mL in the jug, less 1.5 / 2.9 of mica, over 1/1.06 + 0.02/0.97.
  assert.ok(Math.abs(body.sheet.pours[0].baseG - 633.41) < 0.01);
});

test('a page asked for again shows what was written a moment ago, here or by another program', async () => {
  const { id: _, ...tray } = mold({ name: 'Tray of before' });
  const made = await send(server.base, 'POST', '/api/molds', tray);
  assert.equal(made.status, 201);
  const page = async (headers: Record<string, string> = {}) =>
    (await fetch(`${server.base}/molds`, { headers })).text();
  const [one, two] = await Promise.all([page(), page()]);
  assert.equal(one, two);
  assert.match(one, /Tray of before/);
  assert.match(await page({ cookie: 'units=us' }), /data-units="us"/);
  assert.match(await page(), /data-units="metric"/);
  await send(server.base, 'PUT', `/api/molds/${made.body.item.id}`, {
    ...made.body,
    item: { ...made.body.item, name: 'Tray of now' },
  });
  assert.match(await page(), /Tray of now/);
  const db = new Database(join(folder.path, 'workshop.sqlite'), { fileMustExist: true });
  db.prepare("UPDATE molds SET record = replace(record, 'Tray of now', 'Tray by hand')").run();
  db.close();
  assert.match(await page(), /Tray by hand/);
});
