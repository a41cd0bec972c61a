import { newMaterialSchema } from '../../../core/materials/material';
import { listEndpoints } from '../../../server/recordEndpoints';

export const { GET, POST } = listEndpoints(({ materials }) => materials, newMaterialSchema);
