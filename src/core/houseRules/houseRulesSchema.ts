import { taughtSchema } from '../heat/taughtSchema';
import { z } from '../zod';

/** A scale of the workshop. Steps and capacity in grams, whatever unit it shows. */
export const scaleSchema = z.strictObject({
  name: z.string().trim().min(1).max(60),
  /** The smallest step its display moves by. */
  stepG: z.number().min(0.0001).max(1000),
  /** The step after it is switched to grams; null where it shows grams already, or nothing else. */
  gramsStepG: z.number().min(0.0001).max(1000).nullable(),
  capacityG: z.number().min(1).max(1e6),
});

/** A jug of the workshop, and what it takes to its brim. */
export const jugSchema = z.strictObject({
  name: z.string().trim().min(1).max(60),
  holdsMl: z.number().min(20).max(100_000),
  /** How readily it loses heat, as it was taught, the newest last. */
  taught: z.array(taughtSchema).max(20).default([]),
});

/** This workshop's choices where practice differs, its units and its usual figures. */
export const houseRulesSchema = z.strictObject({
  freezer: z.enum(['brief', 'never', 'freely']),
  pourCeiling: z.enum(['52', '54', 'touch']),
  fragranceBy: z.enum(['weight', 'spoons', 'drops']),
  micaIn: z.enum(['dry', 'alcohol', 'glycerin']),
  meltIn: z.enum(['microwave', 'double-boiler']),
  foodColour: z.enum(['refuse', 'warn']),
  wrap: z.enum(['same-day', 'may-lie-open']),
  units: z.enum(['metric', 'us']),
  /** ISO 4217. */
  currency: z.string().regex(/^[A-Z]{3}$/, 'currency-letters'),
  jugLossFraction: z.number().min(0).max(0.5),
  fillFraction: z.number().min(0.05).max(1),
  /** Reading error of a scale, as a fraction of the dose, above which a dose is flagged. */
  readingErrorMost: z.number().min(0.001).max(0.5),
  /** Largest grain that is no caution, mm. */
  gritBodyMm: z.number().min(0.01).max(10),
  gritFaceMm: z.number().min(0.01).max(10),
  scales: z.array(scaleSchema).max(12),
  jugs: z.array(jugSchema).max(12),
  /** How much of a jug stays empty, to stir and to carry. */
  headspaceFraction: z.number().min(0).max(0.6),
  /** What base can be cut to, g: a knife is not a scale. */
  cutStepG: z.number().min(0.1).max(500),
  /** What the microwave is sold as, W. */
  microwaveW: z.number().min(200).max(3000),
});
