import { endpoint } from '../../server/endpoint';
import { healthOf } from '../../server/health';
import { workshop } from '../../server/workshop';

export const GET = endpoint(async () => ({ body: await healthOf(workshop()) }));
