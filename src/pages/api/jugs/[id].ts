import { jugSchema } from '../../../core/houseRules/jugSchema';
import { z } from '../../../core/zod';
import { itemEndpoints, removeEndpoint } from '../../../server/recordEndpoints';

const saveSchema = z.strictObject({ item: jugSchema, revision: z.int().positive() });

export const { GET, PUT } = itemEndpoints('jug', ({ jugs }) => jugs, saveSchema);

export const DELETE = removeEndpoint('jug', ({ jugs }) => jugs);
