import { endpoint, param } from '../../../../server/endpoint';
import { rehearsalText } from '../../../../server/runsInThreads';
import { workshop } from '../../../../server/workshop';

/** A run of the plan that is made nowhere; with `?jugs=smallest` as if there were only the smallest jug. */
export const GET = endpoint(async (context) => {
  const jugs = context.url.searchParams.get('jugs') === 'smallest' ? 'smallest' : 'all';
  const { run } = await rehearsalText(workshop(), param(context, 'id'), jugs);
  return { json: run };
});
