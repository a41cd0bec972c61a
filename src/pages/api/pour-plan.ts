import { compute } from '../../server/compute/threads';
import { endpoint } from '../../server/endpoint';
import { readJsonBytes } from '../../server/readJson';
import { workshop } from '../../server/workshop';

/** The pour plan of a plan file by this workshop's house rules, with nothing stored. */
export const POST = endpoint(async ({ request }) => {
  const bytes = await readJsonBytes(request);
  return { json: await compute('pourPlanAnswer', { bytes, rules: workshop().rules() }) };
});
