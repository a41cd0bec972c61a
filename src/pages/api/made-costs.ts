import { z } from '../../core/zod';
import { endpoint } from '../../server/endpoint';
import { costsOfMade } from '../../server/pieceCosts';
import { readJson } from '../../server/readJson';
import { workshop } from '../../server/workshop';

const asked = z.strictObject({ planIds: z.array(z.string().min(1).max(64)).max(200) });

export const POST = endpoint(async ({ request }) => {
  const { planIds } = await readJson(request, asked);
  return { body: [...costsOfMade(workshop(), planIds)] };
});
