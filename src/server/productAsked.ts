import { productSchema } from '../core/product/productSchema';
import { z } from '../core/zod';

/** A product as it stands on a page, saved or not, with the runs that were chosen for it. */
export const productAsked = z.strictObject({
  product: productSchema,
  runs: z.array(z.string().min(1).max(64)).max(20).default([]),
});
