import { anyPlanFileSchema } from '../../../formats/planFile';
import { endpoint } from '../../../server/endpoint';
import { meetingsOf } from '../../../server/meeting';
import { readJson } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

/** What the mold and the materials of a plan file meet here. Nothing is changed. */
export const POST = endpoint(async ({ request }) => ({
  body: meetingsOf(workshop(), await readJson(request, anyPlanFileSchema)),
}));
