import { planSchema } from '../../../../core/plan/planSchema';
import { z } from '../../../../core/zod';
import { askedVersion } from '../../../../server/askedVersion';
import { endpoint, param } from '../../../../server/endpoint';
import { findPlan, savePlan } from '../../../../server/plans';
import { readJson } from '../../../../server/readJson';
import { workshop } from '../../../../server/workshop';

const saveSchema = z.strictObject({ plan: planSchema, revision: z.int().positive() });

export const GET = endpoint((context) => ({
  body: findPlan(workshop(), param(context, 'id'), askedVersion(context.url)),
}));

export const PUT = endpoint(async (context) => {
  const { plan, revision } = await readJson(context.request, saveSchema);
  return { body: savePlan(workshop(), param(context, 'id'), plan, revision) };
});
