import { z } from '../../../../core/zod';
import { CHOICES } from '../../../../formats/meeting';
import { endpoint, param } from '../../../../server/endpoint';
import { readJson } from '../../../../server/readJson';
import { meetingsInCopy, plansInCopy, takePlansOfCopy } from '../../../../server/wholeWorkshop';
import { workshop } from '../../../../server/workshop';

const planId = z.string().min(1).max(64);
const takeSchema = z.strictObject({
  plans: z.array(planId).min(1).max(1000),
  /** Those of them that become what they are in the copy; the others come in beside what is here. */
  overwrite: z.array(planId).max(1000),
  choices: z.record(planId, z.enum(CHOICES)),
});

/** The plans of a copy that waits; with `?plans=ID,ID` what their molds and materials meet here. */
export const GET = endpoint((context) => {
  const ids = context.url.searchParams.get('plans');
  const id = param(context, 'id');
  return {
    body: ids === null ? plansInCopy(workshop(), id) : meetingsInCopy(workshop(), id, ids.split(',')),
  };
});

/** Takes some of its plans in. */
export const POST = endpoint(async (context) => {
  const { plans, overwrite, choices } = await readJson(context.request, takeSchema);
  const taken = takePlansOfCopy(workshop(), param(context, 'id'), plans, new Set(overwrite), choices);
  return { status: 201, body: { taken } };
});
