import { newScaleSchema, scaleSchema } from '../../../core/houseRules/scaleSchema';
import { recordEndpoints, removeFrom } from '../../../server/recordEndpoints';
import type { Workshop } from '../../../server/workshop';

const kind = { what: 'scale', table: (open: Workshop) => open.scales };

export const { GET, POST, PUT, DELETE } = recordEndpoints({
  ...kind,
  schema: scaleSchema,
  newSchema: newScaleSchema,
  remove: removeFrom(kind),
});
