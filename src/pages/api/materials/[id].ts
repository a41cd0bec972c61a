import { materialSchema } from '../../../core/materials/material';
import { z } from '../../../core/zod';
import { endpoint, param } from '../../../server/endpoint';
import { invalidField, notFound } from '../../../server/problem';
import { readJson } from '../../../server/readJson';
import { saveRecord } from '../../../server/records';
import { workshop } from '../../../server/workshop';

const saveSchema = z.strictObject({ item: materialSchema, revision: z.int().positive() });

export const GET = endpoint((context) => {
  const id = param(context, 'id');
  const stored = workshop().materials.find(id);
  if (!stored) throw notFound('material', id);
  return { body: stored };
});

export const PUT = endpoint(async (context) => {
  const { materials, now } = workshop();
  const { item, revision } = await readJson(context.request, saveSchema);
  if (item.id !== param(context, 'id')) throw invalidField('item.id', 'is not the id in the address');
  return { body: saveRecord(materials, 'material', item, revision, now()) };
});
