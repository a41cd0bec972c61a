import { endpoint } from '../../../server/endpoint';
import { meetPlan } from '../../../server/plansInThreads';
import { readJsonBytes } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

/** What the mold and the materials of a plan file meet here. Nothing is changed. */
export const POST = endpoint(async ({ request }) => {
  const bytes = await readJsonBytes(request);
  return { body: await meetPlan(workshop(), bytes) };
});
