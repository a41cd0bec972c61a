import { z } from '../../../core/zod';
import { setSecondPlace } from '../../../server/copies';
import { endpoint } from '../../../server/endpoint';
import { readJson } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

const placeSchema = z.strictObject({ folder: z.string().trim().min(1).max(1000).nullable() });

/** Chooses the second place of the daily copies. */
export const PUT = endpoint(async ({ request }) => {
  const { folder } = await readJson(request, placeSchema);
  return { body: await setSecondPlace(workshop(), folder) };
});
