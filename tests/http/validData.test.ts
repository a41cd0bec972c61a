import assert from 'node:assert/strict';
import test, { after, before } from 'node:test';
import { BOX, fragrance, mold, planFile } from '../support/planFiles';
import { type RunningServer, send, startServer, temporaryFolder } from '../support/server';

const folder = temporaryFolder();
let server: RunningServer;
before(async () => {
  server = await startServer(folder.path);
});
after(async () => {
  await server.stop();
  folder.remove();
});

const STATIONS = [
  '/',
  '/plans',
  '/plans?now',
  '/plans/buy',
  '/molds',
  '/shelf',
  '/bench',
  '/log',
  '/products',
  '/house-rules',
];

async function everyPageOpens(more: string[], what: string) {
  for (const path of [...STATIONS, ...more]) {
    const page = await fetch(server.base + path);
    assert.equal(page.status, 200, `${what}: ${path}`);
    assert.match(await page.text(), /<\/html>/, `${what}: ${path}`);
  }
}

test('valid data of any kind leaves every page open', async () => {
  const scent = fragrance({ id: 'constructor', name: '__proto__' });
  const lot = {
    id: 'valueOf',
    item: { kind: 'material', id: 'constructor' },
    number: 'toString',
    boughtOn: '2026-01-01',
    price: null,
    discountFraction: 0,
    amount: 500,
    bestBefore: null,
    openedOn: null,
    note: '',
  };
  const whole = planFile(
    [{ size: '8 mm', doses: [[scent, '2 %']] }, { size: 'rest' }],
    {
      making: {
        room: { tempC: 21, spreadK: 1, humidity: 0.5, humiditySpread: 0.08 },
        clock: { at: 'finish', time: '9999-12-31T23:59' },
        freezerMin: null,
      },
    },
    BOX,
  );
  const { status, body: stored } = await send(server.base, 'POST', '/api/plans/import', whole);
  assert.equal(status, 201);
  const taken = await send(server.base, 'POST', '/api/shelf/import', {
    materials: [],
    lots: [{ item: lot, revision: null }],
  });
  assert.equal(taken.status, 201);
  const ledge = planFile(
    [{}],
    {},
    mold({
      id: 'ledge',
      shape: {
        kind: 'revolved',
        points: [
          { heightMm: 0, halfWidthMm: 0 },
          { heightMm: 1e-300, halfWidthMm: 5 },
          { heightMm: 1, halfWidthMm: 30 },
        ],
      },
    }),
  );
  assert.equal((await send(server.base, 'POST', '/api/plans/import', ledge)).status, 201);
  const id = crypto.randomUUID();
  assert.equal((await send(server.base, 'POST', '/api/runs', { id, planId: stored.id })).status, 201);
  await everyPageOpens([`/plans/${stored.id}`, `/plans/${stored.id}/sheet`, `/bench/${id}`], 'odd ids');
});

test('a version that is none is a page that is not there, and at the endpoint a field that is wrong', async () => {
  const { body } = await send(server.base, 'POST', '/api/plans/import', planFile([{}]));
  for (const version of ['abc', '0', '-1', '1e9', '99', '']) {
    const page = await fetch(`${server.base}/plans/${body.id}/sheet?version=${version}`);
    assert.equal(page.status, 404, version);
    assert.match(await page.text(), /Idle Tallow/, version);
  }
  const answer = await send(server.base, 'GET', `/api/plans/${body.id}?version=abc`);
  assert.deepEqual([answer.status, answer.body.code], [422, 'invalid-field']);
});
