import { materialSchema } from '../../../core/materials/material';
import { z } from '../../../core/zod';
import { itemEndpoints } from '../../../server/recordEndpoints';

const saveSchema = z.strictObject({ item: materialSchema, revision: z.int().positive() });

export const { GET, PUT } = itemEndpoints('material', ({ materials }) => materials, saveSchema);
