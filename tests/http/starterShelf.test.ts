import assert from 'node:assert/strict';
import test, { after, before } from 'node:test';
import { materialSchema } from '../../src/core/materials/materialSchema';
import { moldSchema } from '../../src/core/molds/moldSchema';
import { isKnown, shapeCapacityMl } from '../../src/core/molds/shape';
import { STARTER_MATERIALS } from '../../src/words/en/starter/materials';
import { STARTER_MOLDS } from '../../src/words/en/starter/molds';
import { isClose } from '../support/planFiles';
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

const begin = () => send(server.base, 'POST', '/api/shelf/starter', {});
const listed = async (path: string) =>
  (await send(server.base, 'GET', path)).body as { item: { name: string } }[];

test('every usual material and mold passes its schema, knows no limit, and a mold holds what its shape does', () => {
  for (const material of STARTER_MATERIALS) {
    assert.ok(materialSchema.safeParse(material).success, material.name);
    if ('maxOfProduct' in material) assert.equal(material.maxOfProduct, null, material.name);
    if ('densityGPerMl' in material) assert.equal(material.densityGPerMl, null, material.name);
  }
  for (const mold of STARTER_MOLDS) {
    assert.ok(moldSchema.safeParse(mold).success, mold.name);
    assert.equal(mold.measuredBy, 'usual');
    assert.ok(isKnown(mold.shape) && isClose(shapeCapacityMl(mold.shape), mold.capacityMl, 1e-4), mold.name);
  }
});

test('an empty workshop begins with usual materials and molds, once, and what is its own stays', async () => {
  const own = { ...STARTER_MATERIALS[0], id: 'own', name: 'CLEAR base', note: 'Mine' };
  assert.equal(
    (
      await send(server.base, 'POST', '/api/shelf/import', {
        materials: [{ item: own, revision: null }],
        lots: [],
      })
    ).status,
    201,
  );
  const answer = await begin();
  assert.deepEqual(answer.body, { added: STARTER_MATERIALS.length - 1 + STARTER_MOLDS.length });
  const materials = await listed('/api/materials');
  assert.equal(materials.length, STARTER_MATERIALS.length);
  assert.deepEqual(
    materials.filter(({ item }) => /clear base/i.test(item.name)).map(({ item }) => item.name),
    ['CLEAR base'],
  );
  assert.deepEqual((await begin()).body, { added: 0 });
  assert.equal((await listed('/api/materials')).length, STARTER_MATERIALS.length);
  assert.equal((await listed('/api/molds')).length, STARTER_MOLDS.length);
});
