import { newJugSchema } from '../../../core/houseRules/jugSchema';
import { listEndpoints } from '../../../server/recordEndpoints';

export const { GET, POST } = listEndpoints(({ jugs }) => jugs, newJugSchema);
