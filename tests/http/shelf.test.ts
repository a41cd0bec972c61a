import assert from 'node:assert/strict';
import test, { after, before } from 'node:test';
import { USUAL_HOUSE_CHOICES } from '../../src/core/houseRules/houseRules';
import { additive, base, blend, colorant, fragrance, piece } from '../support/planFiles';
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

async function sendCsv(body: string | Uint8Array<ArrayBuffer>, query = 'of=materials', type = 'text/csv') {
  const response = await fetch(`${server.base}/api/shelf/csv?${query}`, {
    method: 'POST',
    body,
    headers: { 'content-type': type },
  });
  return { status: response.status, body: await response.json() };
}
const count = async () => (await send(server.base, 'GET', '/api/materials')).body.length;

test('a hostile file is refused in a sentence, nothing is half imported, and the server goes on', async () => {
  const good = 'kind,name\nbase,Good\n';
  const cases: [string, Uint8Array<ArrayBuffer> | string, number, string][] = [
    ['50 MB', new Uint8Array(50_000_000).fill(0x61), 413, 'too-large'],
    ['a zip renamed', new Uint8Array([0x50, 0x4b, 3, 4, ...Array(200).fill(7)]), 422, 'not-text'],
    ['NULs', `${good}base,\u0000`, 422, 'not-text'],
    ['not UTF-8', new Uint8Array([0x6b, 0xff, 0xfe, 0x0a]), 422, 'not-text'],
    [
      '10,000 columns',
      `${Array.from({ length: 10_000 }, (_, n) => `c${n}`).join(',')}\n1`,
      422,
      'too-many-columns',
    ],
    ['nineteen million cells', `name\n${','.repeat(19_000_000)}`, 422, 'too-many-columns'],
    ['nine million lines', `name\n${'x\n'.repeat(9_000_000)}`, 422, 'too-many-rows'],
    ['unbalanced quotes', `${good}base,"open`, 422, 'broken-quotes'],
    ['duplicated headers', 'name,kind,Name\na,base,b', 422, 'double-header'],
    ['no rows', 'kind,name', 422, 'empty'],
    ['nothing', '', 422, 'empty'],
    ['one bad row in many', `${good}spoon,Ladle\n`, 422, 'bad-rows'],
    ['binary noise', new Uint8Array(4000).map((_, n) => ((n * 37) % 250) | 1), 422, 'not-text'],
  ];
  for (const [what, body, status, code] of cases) {
    const answer = await sendCsv(body);
    assert.deepEqual([answer.status, answer.body.code], [status, code], what);
    assert.doesNotMatch(JSON.stringify(answer.body), /node_modules| at .*\.ts/);
    assert.equal(await count(), 0, what);
  }
  // While a file is judged, others are answered.
  const many = `kind,name\n${Array.from({ length: 20_000 }, (_, n) => `spoon,Ladle ${n}`).join('\n')}`;
  const judged = sendCsv(many);
  let answered = 0;
  let isJudged = false;
  void judged.then(() => {
    isJudged = true;
  });
  while (!isJudged) {
    await count();
    answered++;
  }
  assert.equal((await judged).body.code, 'bad-rows');
  assert.ok(answered > 5, `${answered} answered meanwhile`);
  assert.equal((await sendCsv(good, 'of=spoons')).status, 422);
  assert.equal((await sendCsv(good, 'of=materials', 'application/json')).status, 415);
  assert.equal((await send(server.base, 'GET', '/api/health')).status, 200);
});

test('a file comes in, all of it or the good rows only, and goes out as it came', async () => {
  const text = 'Kind;Name;Density;Note\nbase;Plain;1,05;=1+1\nfragrance;Rose;0,99;\nspoon;Ladle;;\n';
  const taken = await sendCsv(text, 'of=materials&rows=good');
  assert.deepEqual([taken.status, taken.body.added, taken.body.left], [201, 2, 1]);
  const lots = 'Material,Lot number,Bought,Amount,Best before\nRose,R-1,2026-02-01,100,2027-02-01\n';
  assert.equal((await sendCsv(lots, 'of=lots')).body.added, 1);
  for (const of of ['materials', 'lots']) {
    for (const style of ['', '&style=semicolon']) {
      const out = await (await fetch(`${server.base}/api/shelf/csv?of=${of}${style}`)).text();
      assert.ok(!/(^|[,;])=/m.test(out));
      const again = await sendCsv(out, `of=${of}`);
      assert.deepEqual([again.status, again.body.added, again.body.changed], [201, 0, 0], out);
    }
  }
});

test('an import is taken whole or not at all', async () => {
  const before = await count();
  const item = (id: string) => ({ item: fragrance({ id, name: id }), revision: null });
  const twice = { materials: [item('one'), item('two'), item('one')], lots: [] };
  assert.equal((await send(server.base, 'POST', '/api/shelf/import', twice)).status, 409);
  const loop = blend([[fragrance({ id: 'nobody' }), 1]], { id: 'loop' });
  const broken = { materials: [item('three'), { item: loop, revision: null }], lots: [] };
  assert.equal((await send(server.base, 'POST', '/api/shelf/import', broken)).status, 422);
  assert.equal(await count(), before);
});

test('a blend names fragrances only, and a kind stays what it is while something uses it', async () => {
  const { body: plain } = await send(server.base, 'POST', '/api/materials', withoutId(base()));
  const { body: scent } = await send(server.base, 'POST', '/api/materials', withoutId(fragrance()));
  const mix = (id: string) => withoutId(blend([[fragrance({ id }), 1]]));
  assert.equal((await send(server.base, 'POST', '/api/materials', mix(plain.item.id))).status, 422);
  const { status, body: mixed } = await send(server.base, 'POST', '/api/materials', mix(scent.item.id));
  assert.equal(status, 201);
  assert.equal((await send(server.base, 'DELETE', `/api/materials/${scent.item.id}`)).body.code, 'in-use');
  assert.equal((await send(server.base, 'DELETE', `/api/materials/${mixed.item.id}`)).status, 200);
  assert.equal((await send(server.base, 'DELETE', '/api/materials/nothing')).status, 404);
  const turned = await send(server.base, 'PUT', `/api/materials/${scent.item.id}`, {
    item: { ...base(), id: scent.item.id },
    revision: 1,
  });
  assert.equal(turned.status, 200);
  const used = await send(server.base, 'POST', '/api/materials', withoutId(fragrance()));
  await send(server.base, 'POST', '/api/materials', mix(used.body.item.id));
  const refused = await send(server.base, 'PUT', `/api/materials/${used.body.item.id}`, {
    item: { ...base(), id: used.body.item.id },
    revision: 1,
  });
  assert.deepEqual([refused.status, refused.body.errors[0].path], [422, 'item.kind']);
});

function withoutId<Item extends { id: string }>({ id: _, ...item }: Item) {
  return item;
}

test('lots and their stock: bad input is named, a second save is told what changed', async () => {
  const { body: scent } = await send(server.base, 'POST', '/api/materials', withoutId(fragrance()));
  const lot = {
    item: { kind: 'material', id: scent.item.id },
    number: 'L-1',
    boughtOn: '2026-02-01',
    price: '4',
    discountFraction: 0,
    amount: 50,
    bestBefore: null,
    openedOn: null,
    note: '',
  };
  const { status, body } = await send(server.base, 'POST', '/api/lots', lot);
  assert.deepEqual([status, body.left], [201, 50]);
  for (const bad of [
    { ...lot, amount: -1 },
    { ...lot, amount: '50' },
    { ...lot, boughtOn: 'yesterday' },
    { ...lot, number: '' },
    { ...lot, item: { kind: 'material', id: 'nothing' } },
    { ...lot, item: { kind: 'product', id: scent.item.id } },
    { ...lot, price: 4 },
    { ...lot, price: '4,00' },
    { ...lot, price: '99999999' },
  ])
    assert.equal((await send(server.base, 'POST', '/api/lots', bad)).status, 422);
  const entries = `/api/lots/${body.item.id}/entries`;
  const entry = (edit: unknown) => ({ entryId: crypto.randomUUID(), edit });
  const out = { kind: 'correction', change: -60, note: '' };
  assert.equal((await send(server.base, 'POST', entries, entry(out))).status, 422);
  const counted = await send(server.base, 'POST', entries, entry({ kind: 'count', counted: 41.5, note: '' }));
  assert.deepEqual([counted.status, counted.body.left], [201, 41.5]);
  const save = (note: string) =>
    send(server.base, 'PUT', `/api/lots/${body.item.id}`, { item: { ...body.item, note }, revision: 1 });
  assert.deepEqual([(await save('a')).status, (await save('b')).status], [200, 409]);
  assert.equal((await send(server.base, 'GET', '/api/lots?material=nothing')).status, 404);
  assert.equal((await send(server.base, 'GET', '/api/lots')).status, 422);
  const told = (await send(server.base, 'GET', `/api/lots?material=${scent.item.id}`)).body;
  assert.equal(told[0].entries.length, 2);
});

test('house rules are one record with versions, and decide how grave a finding is', async () => {
  const { body } = await send(server.base, 'GET', '/api/house-rules');
  assert.deepEqual(body, { item: USUAL_HOUSE_CHOICES, revision: 0 });
  const save = (over: object, revision: number) =>
    send(server.base, 'PUT', '/api/house-rules', { item: { ...USUAL_HOUSE_CHOICES, ...over }, revision });
  assert.equal((await save({ foodColour: 'warn' }, 0)).body.revision, 1);
  const late = await save({ foodColour: 'refuse', wrap: 'may-lie-open' }, 0);
  assert.deepEqual([late.status, late.body.code], [409, 'changed-elsewhere']);
  for (const bad of [
    { freezer: 'always' },
    { jugLossFraction: 2 },
    { currency: 'euro' },
    { scales: [{ name: 'x' }] },
  ])
    assert.equal((await save(bad, 1)).status, 422);
});

test('jugs and scales are records: two of one name are two, and each is taken out by itself', async () => {
  const jug = { name: 'Jug', holdsMl: 500, taught: [] };
  const first = (await send(server.base, 'POST', '/api/jugs', jug)).body;
  const second = (await send(server.base, 'POST', '/api/jugs', jug)).body;
  const holdsMl = async () =>
    (await send(server.base, 'GET', '/api/jugs')).body.map((each: typeof first) => each.item.holdsMl);
  const save = (revision: number) =>
    send(server.base, 'PUT', `/api/jugs/${second.item.id}`, {
      item: { ...second.item, holdsMl: 800 },
      revision,
    });
  assert.deepEqual([(await save(1)).status, (await save(1)).status], [200, 200]);
  assert.equal((await send(server.base, 'DELETE', `/api/jugs/${first.item.id}`)).status, 200);
  assert.equal((await send(server.base, 'DELETE', `/api/jugs/${first.item.id}`)).status, 404);
  assert.deepEqual(await holdsMl(), [800]);
  assert.equal((await send(server.base, 'DELETE', `/api/jugs/${second.item.id}`)).status, 200);
  assert.equal((await send(server.base, 'GET', '/api/scales/constructor')).status, 404);
});

test('hostile values at every field of every record: a clear answer, never a 500, nothing half saved', async () => {
  const { body: scent } = await send(server.base, 'POST', '/api/materials', withoutId(fragrance()));
  const lot = {
    item: { kind: 'material', id: scent.item.id },
    number: 'H',
    boughtOn: '2026-02-01',
    price: '4',
    discountFraction: 0,
    amount: 50,
    bestBefore: null,
    openedOn: null,
    note: '',
  };
  const records: [method: string, path: string, record: object, wrap: (record: object) => unknown][] = [
    ['POST', '/api/materials', withoutId(base()), (record) => record],
    ['POST', '/api/materials', withoutId(fragrance()), (record) => record],
    ['POST', '/api/materials', withoutId(colorant()), (record) => record],
    ['POST', '/api/materials', withoutId(additive()), (record) => record],
    ['POST', '/api/materials', withoutId(piece()), (record) => record],
    ['POST', '/api/lots', lot, (record) => record],
    ['POST', '/api/jugs', { name: 'Jug', holdsMl: 500, taught: [] }, (record) => record],
    [
      'POST',
      '/api/scales',
      { name: 'Scale', stepG: 1, gramsStepG: null, capacityG: 2000 },
      (record) => record,
    ],
    ['PUT', '/api/house-rules', USUAL_HOUSE_CHOICES, (item) => ({ item, revision: 999 })],
  ];
  /** What records of older files do not have yet: not known, when it is left out. */
  const LATER: ReadonlySet<string> = new Set([
    'colour',
    'holds',
    'melts',
    'maxByUse',
    'inciShares',
    'spritz',
    'batchCode',
    'handsPerHour',
    'fixedPerMonth',
    'batchesPerMonth',
    'pricing',
    'maker',
    'labelSheet',
    'leastMeltG',
    'spareMoldId',
    'match',
    'sweatsAbove',
    'gritCounts',
    'setsC',
    'setsOverK',
    'latentJG',
    'heatCapacityJGK',
    'conductivityWMK',
    'taught',
  ]);
  const hostile = [
    '',
    '2,5',
    '½',
    '-1',
    -1,
    1e300,
    'NaN',
    'x'.repeat(10_000),
    '<b>',
    [],
    {},
    true,
    [null],
    '\u0000',
  ];
  for (const [method, path, record, wrap] of records) {
    for (const key of Object.keys(record)) {
      for (const value of hostile) {
        const before = await count();
        const answer = await send(server.base, method, path, wrap({ ...record, [key]: value }));
        const what = `${path} ${key} ${JSON.stringify(value)?.slice(0, 20)}`;
        assert.ok([201, 409, 422].includes(answer.status), `${what}: ${answer.status}`);
        if (answer.status !== 422) continue;
        assert.ok(answer.body.errors[0].path.includes(key), `${what} names ${answer.body.errors[0].path}`);
        assert.ok(answer.body.errors[0].reason.length > 5, what);
        assert.equal(await count(), before, what);
      }
      const { [key as never]: _, ...missing } = record;
      const answer = await send(server.base, method, path, wrap(missing));
      // What came later may be left out: it is made, or meets the revision that was read too early.
      const taken = method === 'PUT' ? 409 : 201;
      assert.equal(answer.status, LATER.has(key) ? taken : 422, `${path} without ${key}`);
    }
  }
  for (const text of ['', '{', '[]', 'null', `{"materials": [${'{"item": 1},'.repeat(5000)}`]) {
    const answer = await sendText(server.base, 'POST', '/api/shelf/import', text);
    assert.ok(answer.status === 400 || answer.status === 422, String(answer.status));
  }
  assert.equal((await send(server.base, 'GET', '/api/health')).status, 200);
});
