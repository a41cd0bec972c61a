import { materialSchema } from '../../../core/materials/materialSchema';
import { z } from '../../../core/zod';
import { endpoint, param } from '../../../server/endpoint';
import { checkBlends } from '../../../server/importShelf';
import { deleteMaterial } from '../../../server/materials';
import { itemEndpoints } from '../../../server/recordEndpoints';
import { workshop } from '../../../server/workshop';

const saveSchema = z.strictObject({ item: materialSchema, revision: z.int().positive() });

export const { GET, PUT } = itemEndpoints('material', ({ materials }) => materials, saveSchema, checkBlends);

export const DELETE = endpoint((context) => {
  deleteMaterial(workshop(), param(context, 'id'));
  return { body: { deleted: true } };
});
