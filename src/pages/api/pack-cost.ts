import { endpoint } from '../../server/endpoint';
import { packCost } from '../../server/packCosts';
import { productAsked } from '../../server/productAsked';
import { readJson } from '../../server/readJson';
import { workshop } from '../../server/workshop';

export const POST = endpoint(async ({ request }) => {
  const { product, runs } = await readJson(request, productAsked);
  return { body: packCost(workshop(), product, runs) };
});
