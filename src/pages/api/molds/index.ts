import { newMoldSchema } from '../../../core/molds/mold';
import { listEndpoints } from '../../../server/recordEndpoints';

export const { GET, POST } = listEndpoints(({ molds }) => molds, newMoldSchema);
