import assert from 'node:assert/strict';
import { once } from 'node:events';
import { request } from 'node:http';
import { json } from 'node:stream/consumers';
import test from 'node:test';
import fc from 'fast-check';
import { anyPlanFile } from '../support/anyPlanFile';
import { askWithPlans, told } from '../support/askWithPlans';
import { extremePlanFile } from '../support/extremePlanFile';
import { planFile } from '../support/planFiles';
import { memoryMb, send, startServer, temporaryFolder } from '../support/server';

const PLANS = 120;
const EXTREME = 40;
/** As odd, but of two pours at most: five hundred in all. */
const EXTREME_OF_FEW = 340;
const FEW_POURS = 2;
const REQUESTS = 2000;
const SEED = 20261128;
const MOST_POURS = 9;

test('random plans to the sheet, the pour plan and the import: an answer for each, never our fault, and every page opens with them', async (t) => {
  const { path, remove } = temporaryFolder();
  const server = await startServer(path);
  t.after(async () => {
    await server.stop();
    remove();
  });
  const ordinary = fc.sample(anyPlanFile(MOST_POURS), { numRuns: PLANS, seed: SEED });
  const extreme = fc.sample(extremePlanFile(), { numRuns: EXTREME, seed: SEED });
  const few = fc.sample(extremePlanFile(FEW_POURS), { numRuns: EXTREME_OF_FEW, seed: SEED });
  for (const files of [ordinary, few, extreme]) t.diagnostic(told(await askWithPlans(server.base, files)));
  for (const page of ['/', '/plans', '/plans?page=3', '/molds', '/shelf', '/plans/buy'])
    assert.equal((await fetch(server.base + page)).status, 200, page);
});

const junk = fc.oneof(
  fc.constantFrom(
    '',
    'constructor',
    '__proto__',
    '½',
    '2,5',
    '-1',
    '1e309',
    '%00',
    '..%2f..%2fetc',
    '\u202e',
    '<b>',
    'null',
  ),
  fc.string({ maxLength: 40 }),
  fc.string({ unit: 'binary', maxLength: 12 }),
);
const PLACES = [
  ...[
    'plans',
    'materials',
    'molds',
    'jugs',
    'scales',
    'lots',
    'runs',
    'log',
    'log/csv',
    'shelf/csv',
    'shelf/lots',
  ],
  ...[
    'house-rules',
    'sheet',
    'pour-plan',
    'recipe',
    'plans/import',
    'plans/meet',
    'plans/recipe',
    'shelf/import',
  ],
  ...['put-away/plan', 'put-away/lot', 'versions/material', 'versions/house-rules', 'copies', 'copies/look'],
  ...['products', 'labels', 'labels/sheet.pdf', 'pack-cost'],
  ...['copies/bring-back', 'copies/waiting', 'copies/second-place', 'devices', 'schemas', 'health'],
];
const hostile = fc.record({
  method: fc.constantFrom('GET', 'GET', 'POST', 'PUT', 'DELETE', 'PATCH'),
  isApi: fc.boolean(),
  place: fc.constantFrom(...PLACES),
  more: fc.array(junk, { maxLength: 2 }),
  query: fc.array(
    fc.tuple(
      fc.constantFrom('q', 'page', 'of', 'version', 'plan', 'plans', 'material', 'in', 'gone', 'kept'),
      junk,
    ),
    {
      maxLength: 2,
    },
  ),
  type: fc.constantFrom('application/json', 'text/csv', 'application/octet-stream', 'text/plain'),
  body: fc.oneof(fc.json({ maxDepth: 3 }), junk),
});

test('two thousand hostile requests: a clear answer to each, never our fault, and the workshop is as it was', async (t) => {
  const { path, remove } = temporaryFolder();
  const server = await startServer(path);
  t.after(async () => {
    await server.stop();
    remove();
  });
  await send(server.base, 'POST', '/api/plans/import', planFile([{}]));
  const all = async () => (await send(server.base, 'GET', '/api/plans')).body;
  const before = await all();
  for (const asked of fc.sample(hostile, { numRuns: REQUESTS, seed: SEED })) {
    const { method, isApi, place, more, query, type, body } = asked;
    const address = new URL(`${isApi ? '/api' : ''}/${place}`, server.base);
    address.pathname += more.map((part) => `/${encodeURIComponent(part.toWellFormed())}`).join('');
    for (const [key, value] of query) address.searchParams.append(key, value);
    const told = `${method} ${address.pathname}${address.search} ${body}`;
    const answer = await fetch(address, {
      method,
      ...(method === 'GET' ? {} : { body: body.toWellFormed(), headers: { 'content-type': type } }),
    });
    const text = await answer.text();
    assert.ok(answer.status < 500, `${told}: ${answer.status} ${text.slice(0, 200)}`);
    if (isApi && answer.status >= 400)
      assert.equal(answer.headers.get('content-type'), 'application/problem+json', told);
  }
  assert.deepEqual(await all(), before);
  assert.doesNotMatch(server.printed(), /problem [2-9A-Z]{5}/);
});

test('many of the largest files at once: each is answered, none is kept longer than for that, and memory stays below 512 MB', async (t) => {
  const { path, remove } = temporaryFolder();
  const server = await startServer(path);
  t.after(async () => {
    await server.stop();
    remove();
  });
  const row = `Oats,${'x,'.repeat(30)}\n`;
  const csv = Buffer.from(row.repeat(Math.floor(19_900_000 / row.length)));
  let isDone = false;
  const sent = Promise.all(
    Array.from({ length: 30 }, async () => {
      // The one buffer for all: fetch would copy it.
      const sending = request(`${server.base}/api/shelf/csv?of=materials`, {
        method: 'POST',
        headers: { 'content-type': 'text/csv', origin: server.base },
      });
      sending.end(csv);
      const [answer] = await once(sending, 'response');
      return (await json(answer)) as { code: string };
    }),
  ).finally(() => {
    isDone = true;
  });
  let mostMb = 0;
  while (!isDone) {
    mostMb = Math.max(mostMb, memoryMb(server.process));
    // What is small is taken in beside them.
    assert.equal((await send(server.base, 'POST', '/api/sheet', planFile([{}]))).status, 200);
  }
  for (const { code } of await sent) assert.match(code, /^(?:too-many-rows|busy)$/);
  assert.ok(mostMb < 512, `${mostMb} MB`);
});
