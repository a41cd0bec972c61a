import { logEntry } from '../../core/run/logEntry';
import { endpoint } from '../../server/endpoint';
import { workshop } from '../../server/workshop';

export const GET = endpoint(() => ({ body: workshop().runs.finished().map(logEntry) }));
