import { goodsEditSchema } from '../../../../../core/goods/goodsSchema';
import { z } from '../../../../../core/zod';
import { endpoint, param } from '../../../../../server/endpoint';
import { editGoods } from '../../../../../server/goods';
import { readJson } from '../../../../../server/readJson';
import { workshop } from '../../../../../server/workshop';

const actSchema = z.strictObject({ actId: z.uuid(), edit: goodsEditSchema });

/** What became of packs: answers with all finished goods of their product. */
export const POST = endpoint(async (context) => {
  const { actId, edit } = await readJson(context.request, actSchema);
  return { status: 201, body: editGoods(workshop(), param(context, 'id'), actId, edit) };
});
