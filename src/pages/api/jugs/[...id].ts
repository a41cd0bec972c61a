import { jugSchema, newJugSchema } from '../../../core/houseRules/jugSchema';
import { recordEndpoints, removeFrom } from '../../../server/recordEndpoints';
import type { Workshop } from '../../../server/workshop';

const kind = { what: 'jug', table: (open: Workshop) => open.jugs };

export const { GET, POST, PUT, DELETE } = recordEndpoints({
  ...kind,
  schema: jugSchema,
  newSchema: newJugSchema,
  remove: removeFrom(kind),
});
