import { endpoint } from '../../server/endpoint';
import { workshop } from '../../server/workshop';

export const GET = endpoint(() => {
  workshop();
  return { body: { status: 'ok' } };
});
