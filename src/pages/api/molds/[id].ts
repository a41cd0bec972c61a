import { moldSchema } from '../../../core/molds/mold';
import { z } from '../../../core/zod';
import { endpoint, param } from '../../../server/endpoint';
import { invalidField, notFound } from '../../../server/problem';
import { readJson } from '../../../server/readJson';
import { saveRecord } from '../../../server/records';
import { workshop } from '../../../server/workshop';

const saveSchema = z.strictObject({ item: moldSchema, revision: z.int().positive() });

export const GET = endpoint((context) => {
  const id = param(context, 'id');
  const stored = workshop().molds.find(id);
  if (!stored) throw notFound('mold', id);
  return { body: stored };
});

export const PUT = endpoint(async (context) => {
  const { molds, now } = workshop();
  const { item, revision } = await readJson(context.request, saveSchema);
  if (item.id !== param(context, 'id')) throw invalidField('item.id', 'is not the id in the address');
  return { body: saveRecord(molds, 'mold', item, revision, now()) };
});
