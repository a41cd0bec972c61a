import { endpoint, param } from '../../../../server/endpoint';
import { rehearsalOf } from '../../../../server/rehearsals';
import { workshop } from '../../../../server/workshop';

/** A run of the plan that is made nowhere; with `?jugs=smallest` as if there were only the smallest jug. */
export const GET = endpoint(async (context) => {
  const jugs = context.url.searchParams.get('jugs') === 'smallest' ? 'smallest' : 'all';
  return { body: await rehearsalOf(workshop(), param(context, 'id'), jugs) };
});
