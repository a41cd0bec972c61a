import { scaleSchema } from '../../../core/houseRules/scaleSchema';
import { z } from '../../../core/zod';
import { itemEndpoints, removeEndpoint } from '../../../server/recordEndpoints';

const saveSchema = z.strictObject({ item: scaleSchema, revision: z.int().positive() });

export const { GET, PUT } = itemEndpoints('scale', ({ scales }) => scales, saveSchema);

export const DELETE = removeEndpoint('scale', ({ scales }) => scales);
