import { productSchema } from '../../../core/product/productSchema';
import { z } from '../../../core/zod';
import { endpoint } from '../../../server/endpoint';
import { labelOf } from '../../../server/labels';
import { preferencesOf } from '../../../server/preferences';
import { readJson } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

const asked = z.strictObject({
  product: productSchema,
  runs: z.array(z.string().min(1).max(64)).max(20).default([]),
});

export const POST = endpoint(async ({ request, cookies }) => {
  const { product, runs } = await readJson(request, asked);
  const { locale } = preferencesOf(request, cookies).showing;
  return { body: await labelOf(workshop(), product, runs, locale) };
});
