import { z } from '../zod';

/** A scale of the workshop. Steps and capacity in grams, whatever unit it shows. */
export const scaleSchema = z.strictObject({
  id: z.string().min(1).max(64),
  name: z.string().trim().min(1).max(60),
  /** The smallest step its display moves by. */
  stepG: z.number().min(0.0001).max(1000),
  /** The step after it is switched to grams; null where it shows grams already, or nothing else. */
  gramsStepG: z.number().min(0.0001).max(1000).nullable(),
  capacityG: z.number().min(1).max(1e6),
});

export const newScaleSchema = scaleSchema.omit({ id: true });
