import { taughtSchema } from '../heat/taught';
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

export type Scale = z.infer<typeof scaleSchema>;

/** A jug of the workshop, and what it takes to its brim. */
export const jugSchema = z.strictObject({
  name: z.string().trim().min(1).max(60),
  holdsMl: z.number().min(20).max(100_000),
  /** How readily it loses heat, as it was taught, the newest last. */
  taught: z.array(taughtSchema).max(20).default([]),
});

export type Jug = z.infer<typeof jugSchema>;

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

export type HouseRules = z.infer<typeof houseRulesSchema>;

/**
 * What holds until a workshop chooses otherwise. The choices are the ones that most crafters name first (common
 * practice, no source); jug loss, fill, headspace, cutting step and
 * grain sizes are our own assumptions, and so is the 2 % of reading error.
 */
export const USUAL_HOUSE_RULES: HouseRules = {
  freezer: 'brief',
  pourCeiling: '52',
  fragranceBy: 'weight',
  micaIn: 'dry',
  meltIn: 'microwave',
  foodColour: 'refuse',
  wrap: 'same-day',
  units: 'metric',
  currency: 'EUR',
  jugLossFraction: 0.03,
  fillFraction: 0.95,
  readingErrorMost: 0.02,
  gritBodyMm: 0.8,
  gritFaceMm: 0.3,
  scales: [],
  jugs: [],
  headspaceFraction: 0.25,
  cutStepG: 5,
  microwaveW: 1000,
};
