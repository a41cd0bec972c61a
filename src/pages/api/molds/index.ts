import { newMoldSchema } from '../../../core/molds/moldSchema';
import { listEndpoints } from '../../../server/recordEndpoints';

export const { GET, POST } = listEndpoints(({ molds }) => molds, newMoldSchema);
