import { planJsonSchema } from '../../../formats/planJsonSchema';
import { endpoint } from '../../../server/endpoint';

export const GET = endpoint(() => ({
  body: planJsonSchema(),
  headers: { 'content-type': 'application/schema+json' },
}));
