import { newMaterialSchema } from '../../../core/materials/materialSchema';
import { checkBlends } from '../../../server/importShelf';
import { listEndpoints } from '../../../server/recordEndpoints';

export const { GET, POST } = listEndpoints(({ materials }) => materials, newMaterialSchema, checkBlends);
