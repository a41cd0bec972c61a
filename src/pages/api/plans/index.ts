import { planSchema } from '../../../core/plan/planSchema';
import { endpoint } from '../../../server/endpoint';
import { createPlan, everyPlan } from '../../../server/plans';
import { readJson } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

export const GET = endpoint(async () => ({ body: await everyPlan(workshop()) }));

export const POST = endpoint(async ({ request }) => ({
  status: 201,
  body: createPlan(workshop(), await readJson(request, planSchema)),
}));
