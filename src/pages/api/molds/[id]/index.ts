import { moldSchema } from '../../../../core/molds/moldSchema';
import { z } from '../../../../core/zod';
import { itemEndpoints } from '../../../../server/recordEndpoints';

const saveSchema = z.strictObject({ item: moldSchema, revision: z.int().positive() });

export const { GET, PUT } = itemEndpoints('mold', ({ molds }) => molds, saveSchema);
