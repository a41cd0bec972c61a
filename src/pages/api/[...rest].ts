import { endpoint } from '../../server/endpoint';
import { Problem } from '../../server/problem';

export const ALL = endpoint(({ request, url }) => {
  throw new Problem(
    404,
    'no-such-endpoint',
    `Nothing answers ${request.method} ${url.pathname.slice(0, 100)}.`,
  );
});
