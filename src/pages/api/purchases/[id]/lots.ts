import { receiptSchema } from '../../../../core/purchase/purchaseSchema';
import { endpoint, param } from '../../../../server/endpoint';
import { receive } from '../../../../server/purchases';
import { readJson } from '../../../../server/readJson';
import { workshop } from '../../../../server/workshop';

/** What came of a line: answers with all that came of the purchase. */
export const POST = endpoint(async (context) => ({
  status: 201,
  body: receive(workshop(), param(context, 'id'), await readJson(context.request, receiptSchema)),
}));
