import { endpoint } from '../../../server/endpoint';
import { takePlan } from '../../../server/plansInThreads';
import { readJsonBytes } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

/** Takes a plan file in; with `?with=choices` as `{ file, choices }`. */
export const POST = endpoint(async ({ request, url }) => {
  const bytes = await readJsonBytes(request);
  const hasChoices = url.searchParams.get('with') === 'choices';
  return { status: 201, body: await takePlan(workshop(), { bytes, hasChoices }) };
});
