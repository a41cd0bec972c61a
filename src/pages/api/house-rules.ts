import { houseChoicesSchema } from '../../core/houseRules/houseRulesSchema';
import { z } from '../../core/zod';
import { endpoint } from '../../server/endpoint';
import { saveHouseRules } from '../../server/houseRules';
import { readJson } from '../../server/readJson';
import { workshop } from '../../server/workshop';

const saveSchema = z.strictObject({ item: houseChoicesSchema, revision: z.int().nonnegative() });

export const GET = endpoint(() => ({ body: workshop().houseRules.read() }));

export const PUT = endpoint(async ({ request }) => {
  const { item, revision } = await readJson(request, saveSchema);
  return { body: saveHouseRules(workshop(), item, revision) };
});
