import { lotSchema } from '../../../../core/stock/lotSchema';
import { z } from '../../../../core/zod';
import { endpoint, param } from '../../../../server/endpoint';
import { invalidField } from '../../../../server/problem';
import { readJson } from '../../../../server/readJson';
import { findLot, saveLot } from '../../../../server/stock';
import { workshop } from '../../../../server/workshop';

const saveSchema = z.strictObject({ item: lotSchema, revision: z.int().positive() });

export const GET = endpoint((context) => ({ body: findLot(workshop(), param(context, 'id')) }));

export const PUT = endpoint(async (context) => {
  const { item, revision } = await readJson(context.request, saveSchema);
  if (item.id !== param(context, 'id')) throw invalidField('item.id', 'is not the id in the address');
  return { body: saveLot(workshop(), item, revision) };
});
