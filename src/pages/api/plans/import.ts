import { z } from '../../../core/zod';
import { CHOICES } from '../../../formats/meeting';
import { anyPlanFileSchema } from '../../../formats/planFile';
import { endpoint } from '../../../server/endpoint';
import { importPlan } from '../../../server/importPlan';
import { readJson } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

const chosenSchema = z.strictObject({
  file: anyPlanFileSchema,
  choices: z.record(z.string().max(64), z.enum(CHOICES)),
});

/** Takes a plan file in; with `?with=choices` as `{ file, choices }`. */
export const POST = endpoint(async ({ request, url }) => {
  if (url.searchParams.get('with') !== 'choices')
    return { status: 201, body: importPlan(workshop(), await readJson(request, anyPlanFileSchema)) };
  const { file, choices } = await readJson(request, chosenSchema);
  return { status: 201, body: importPlan(workshop(), file, choices) };
});
