import { z } from '../../../../core/zod';
import { endpoint, param } from '../../../../server/endpoint';
import { readJson } from '../../../../server/readJson';
import { editStock } from '../../../../server/stock';
import { workshop } from '../../../../server/workshop';

const note = z.string().max(2000);
const entrySchema = z.strictObject({
  entryId: z.uuid(),
  edit: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('correction'), change: z.number().min(-1e6).max(1e6), note }),
    z.strictObject({ kind: z.literal('count'), counted: z.number().min(0).max(1e6), note }),
  ]),
});

export const POST = endpoint(async (context) => {
  const { entryId, edit } = await readJson(context.request, entrySchema);
  return { status: 201, body: editStock(workshop(), param(context, 'id'), entryId, edit) };
});
