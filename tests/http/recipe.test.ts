import assert from 'node:assert/strict';
import test, { after, before } from 'node:test';
import { base, fragrance, mold } from '../support/planFiles';
import { type RunningServer, send, startServer, temporaryFolder } from '../support/server';

let server: RunningServer;
const folder = temporaryFolder();
before(async () => {
  server = await startServer(folder.path);
});
after(async () => {
  await server.stop();
  folder.remove();
});

const ask = (path: string, body: unknown) => send(server.base, 'POST', path, body);
const withoutId = <Item extends { id: string }>({ id: _, ...item }: Item) => item;

test('a recipe is read line by line, and becomes a plan with what is new on the shelf, all of it or nothing', async () => {
  const tray = (await ask('/api/molds', withoutId(mold({ name: 'Tray' })))).body.item;
  await ask('/api/materials', withoutId(base({ name: 'Clear base' })));
  const orange = (await ask('/api/materials', withoutId(fragrance({ name: 'Orange' })))).body.item;
  const text = '500 g clear base\n30 drops orange\n2 tsp oats\nsome salt';
  const request = { text, chosen: [], moldId: tray.id };
  const read = await ask('/api/recipe', request);
  assert.equal(read.status, 200);
  assert.deepEqual(
    read.body.lines.map(({ kind, isSettled }: { kind: string; isSettled: boolean }) => [kind, isSettled]),
    [
      ['base', true],
      ['dose', true],
      ['dose', false],
      ['unread', true],
    ],
  );
  assert.equal(read.body.faults.length, 2);
  const shelf = async () => (await (await fetch(`${server.base}/api/materials`)).json()).length;
  const before = await shelf();
  const refused = await ask('/api/plans/recipe', request);
  assert.deepEqual([refused.status, refused.body.errors[0].path], [422, 'text']);
  const oats = { name: 'Oats', is: { kind: 'additive', role: 'grit' } };
  // A plan that can't be made puts nothing on the shelf.
  assert.equal((await ask('/api/plans/recipe', { ...request, chosen: [oats] })).status, 422);
  assert.equal(await shelf(), before);
  const whole = { ...request, text: text.replace('\nsome salt', ''), chosen: [oats] };
  const made = await ask('/api/plans/recipe', whole);
  assert.equal(made.status, 201);
  assert.equal(await shelf(), before + 1);
  const [pour] = made.body.plan.pours;
  assert.deepEqual(
    pour.doses.map((dose: { text: string }) => dose.text),
    ['30 drops', '2 tsp'],
  );
  assert.equal(pour.doses[0].materialId, orange.id);
  assert.equal(made.body.plan.batch.massG, 500);
});

test('bad input is named, and nothing is made of it', async () => {
  for (const bad of [
    {},
    { text: 3, chosen: [], moldId: 'x' },
    { text: '', chosen: [{ name: 'x', is: { id: 'nowhere' } }], moldId: 'x' },
    { text: '', chosen: [{ name: 'x', is: { kind: 'constructor' } }], moldId: 'x' },
    { text: 'x'.repeat(20_001), chosen: [], moldId: 'x' },
    { text: '', chosen: [], moldId: 'x', more: 1 },
  ])
    assert.equal((await ask('/api/recipe', bad)).status, 422, JSON.stringify(bad).slice(0, 80));
  const junk = { text: '\u0000 ½ / / , , “ ”\n-- settings\nmore: {"__proto__":{}}', chosen: [], moldId: 'x' };
  assert.equal((await ask('/api/recipe', junk)).status, 200);
  assert.equal((await ask('/api/plans/recipe', junk)).status, 422);
});
