import { z } from '../zod';
import { common, materialId } from './fieldsSchema';
import { readingSchema } from './readingSchema';

/** Fragrances in parts by weight. A member may be a blend of fragrances itself; no deeper. */
export const blendSchema = z.strictObject({
  ...common,
  kind: z.literal('blend'),
  members: z
    .array(z.strictObject({ materialId, parts: z.number().min(0.001).max(10_000) }))
    .min(1)
    .max(12),
  readings: z.array(readingSchema).max(200),
});
