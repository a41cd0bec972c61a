import { moldSchema, newMoldSchema } from '../../../core/molds/moldSchema';
import { recordEndpoints } from '../../../server/recordEndpoints';

export const { GET, POST, PUT, DELETE } = recordEndpoints({
  what: 'mold',
  table: ({ molds }) => molds,
  schema: moldSchema,
  newSchema: newMoldSchema,
});
