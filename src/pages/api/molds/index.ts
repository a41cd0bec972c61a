import { newMoldSchema } from '../../../core/molds/mold';
import { endpoint } from '../../../server/endpoint';
import { readJson } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

export const GET = endpoint(() => ({ body: workshop().molds.all() }));

export const POST = endpoint(async ({ request }) => {
  const { molds, newId, now } = workshop();
  const item = { ...(await readJson(request, newMoldSchema)), id: newId() };
  molds.insert(item, now());
  return { status: 201, body: { item, revision: 1 } };
});
