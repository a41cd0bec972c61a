import { newScaleSchema } from '../../../core/houseRules/scaleSchema';
import { listEndpoints } from '../../../server/recordEndpoints';

export const { GET, POST } = listEndpoints(({ scales }) => scales, newScaleSchema);
