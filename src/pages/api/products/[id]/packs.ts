import { packingSchema } from '../../../../core/goods/goodsSchema';
import { endpoint, param } from '../../../../server/endpoint';
import { goodsOf, pack } from '../../../../server/goods';
import { readJson } from '../../../../server/readJson';
import { workshop } from '../../../../server/workshop';

/** The finished goods of a product, and what more can be packed. */
export const GET = endpoint((context) => ({ body: goodsOf(workshop(), param(context, 'id')) }));

/** Packs pieces of batches: answers with all finished goods of the product. */
export const POST = endpoint(async (context) => ({
  status: 201,
  body: pack(workshop(), param(context, 'id'), await readJson(context.request, packingSchema)),
}));
