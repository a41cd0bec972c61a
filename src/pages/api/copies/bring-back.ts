import { z } from '../../../core/zod';
import { endpoint } from '../../../server/endpoint';
import { readJson } from '../../../server/readJson';
import { bringBackLookedInto } from '../../../server/wholeWorkshop';

const chosenSchema = z.strictObject({ id: z.uuid() });

/** Puts the copy that was looked into in the place of the workshop; what is there now is kept among the copies. */
export const POST = endpoint(async ({ request }) => {
  const { id } = await readJson(request, chosenSchema);
  return { body: { keptAs: bringBackLookedInto(id) } };
});
