import { anyPlanFileSchema } from '../../../formats/planFile';
import { endpoint } from '../../../server/endpoint';
import { importPlan } from '../../../server/importPlan';
import { readJson } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

export const POST = endpoint(async ({ request }) => ({
  status: 201,
  body: importPlan(workshop(), await readJson(request, anyPlanFileSchema)),
}));
