import { endpoint } from '../../../server/endpoint';
import { labelOf } from '../../../server/labels';
import { preferencesOf } from '../../../server/preferences';
import { productAsked } from '../../../server/productAsked';
import { readJson } from '../../../server/readJson';
import { workshop } from '../../../server/workshop';

export const POST = endpoint(async ({ request, cookies }) => {
  const { product, runs } = await readJson(request, productAsked);
  const { locale } = preferencesOf(request, cookies).showing;
  return { body: await labelOf(workshop(), product, runs, locale) };
});
