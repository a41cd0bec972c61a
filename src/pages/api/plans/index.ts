import { planSchema } from '../../../core/plan/planSchema';
import { endpoint } from '../../../server/endpoint';
import { createPlan } from '../../../server/plans';
import { readJson } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

export const GET = endpoint(() => ({ body: workshop().plans.all() }));

export const POST = endpoint(async ({ request }) => ({
  status: 201,
  body: createPlan(workshop(), await readJson(request, planSchema)),
}));
