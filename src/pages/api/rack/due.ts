import { endpoint } from '../../../server/endpoint';
import { rackCalls } from '../../../server/rack';
import { workshop } from '../../../server/workshop';

/** What calls to the rack, for whatever screen is open. */
export const GET = endpoint(() => ({ body: rackCalls(workshop()) }));
