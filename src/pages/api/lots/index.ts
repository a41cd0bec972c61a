import { newLotSchema } from '../../../core/stock/lotSchema';
import { endpoint } from '../../../server/endpoint';
import { invalidField } from '../../../server/problem';
import { readJson } from '../../../server/readJson';
import { addLot, lotsOf } from '../../../server/stock';
import { workshop } from '../../../server/workshop';

/** The lots of one material, each with its stock told line by line. */
export const GET = endpoint(({ url }) => {
  const material = url.searchParams.get('material');
  if (material === null) throw invalidField('material', 'is missing: name a material');
  return { body: lotsOf(workshop(), material) };
});

export const POST = endpoint(async ({ request }) => ({
  status: 201,
  body: addLot(workshop(), await readJson(request, newLotSchema)),
}));
