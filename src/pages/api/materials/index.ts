import { newMaterialSchema } from '../../../core/materials/material';
import { endpoint } from '../../../server/endpoint';
import { readJson } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

export const GET = endpoint(() => ({ body: workshop().materials.all() }));

export const POST = endpoint(async ({ request }) => {
  const { materials, newId, now } = workshop();
  const item = { ...(await readJson(request, newMaterialSchema)), id: newId() };
  materials.insert(item, now());
  return { status: 201, body: { item, revision: 1 } };
});
