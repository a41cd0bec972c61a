import { z } from '../../../core/zod';
import { endpoint } from '../../../server/endpoint';
import { readJson } from '../../../server/readJson';
import { letInInstrument } from '../../../server/sharing';
import { workshop } from '../../../server/workshop';

const instrumentSchema = z.strictObject({ name: z.string().trim().min(1).max(60) });

/** Lets an instrument of the network send readings; answers its secret, once. */
export const POST = endpoint(async ({ request }) => {
  const { name } = await readJson(request, instrumentSchema);
  return { status: 201, body: letInInstrument(workshop(), name) };
});
