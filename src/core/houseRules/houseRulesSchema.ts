import { moneySchema } from '../units/moneySchema';
import { z } from '../zod';
import { jugSchema } from './jugSchema';
import { labelSheetSchema } from './labelSheetSchema';
import { LEAST_MELT_LIMITS_G } from './leastMelt';
import { makerSchema } from './makerSchema';
import { USUAL_PRICING } from './pricing';
import { pricingSchema } from './pricingSchema';
import { scaleSchema } from './scaleSchema';
import { NO_MAKER, USUAL_SHEET } from './selling';

/** This workshop's choices where practice differs, its units and its usual figures. */
export const houseChoicesSchema = z.strictObject({
  freezer: z.enum(['brief', 'never', 'freely']),
  pourCeiling: z.enum(['52', '54', 'touch']),
  fragranceBy: z.enum(['weight', 'spoons', 'drops']),
  micaIn: z.enum(['dry', 'alcohol', 'glycerin']),
  /** Whether a layer is sprayed with alcohol before the next is poured on it. */
  spritz: z.enum(['always', 'never']).default('always'),
  meltIn: z.enum(['microwave', 'double-boiler']),
  foodColour: z.enum(['refuse', 'warn']),
  wrap: z.enum(['same-day', 'may-lie-open']),
  /** What batch codes begin with. */
  batchCode: z.enum(['day', 'year']).default('day'),
  units: z.enum(['metric', 'us']),
  /** ISO 4217. */
  currency: z.string().regex(/^[A-Z]{3}$/, 'currency-letters'),
  /** What an hour of hands costs; null where they are not reckoned. */
  handsPerHour: moneySchema.nullable().default(null),
  /** What the workshop costs beside materials and hands; null where it is not reckoned. */
  fixedPerMonth: moneySchema.nullable().default(null),
  /** Its fixed costs are shared by so many. */
  batchesPerMonth: z.number().min(0.1).max(1000).default(8),
  /** How prices are made of costs; fractions. */
  pricing: pricingSchema.default(USUAL_PRICING),
  /** Who stands behind what is sold. */
  maker: makerSchema.default(NO_MAKER),
  /** The sheets of stickers that labels are printed on. */
  labelSheet: labelSheetSchema.default(USUAL_SHEET),
  jugLossFraction: z.number().min(0).max(0.5),
  fillFraction: z.number().min(0.05).max(1),
  /** Reading error of a scale, as a fraction of the dose, above which a dose is flagged. */
  readingErrorMost: z.number().min(0.001).max(0.5),
  /** Largest grain that is no caution, mm. */
  gritBodyMm: z.number().min(0.01).max(10),
  gritFaceMm: z.number().min(0.01).max(10),
  /** How much of a jug stays empty, to stir and to carry. */
  headspaceFraction: z.number().min(0).max(0.6),
  /** What base can be cut to, g: a knife is not a scale. */
  cutStepG: z.number().min(0.1).max(500),
  /** Less base than this does not melt well, g: a new plan melts as much, and what is over is left over. */
  leastMeltG: z.number().min(LEAST_MELT_LIMITS_G[0]).max(LEAST_MELT_LIMITS_G[1]).default(60),
  /** What is left over is poured into it; null where it goes into the scrap jar. */
  spareMoldId: z.string().min(1).max(64).nullable().default(null),
  /** What the microwave is sold as, W. */
  microwaveW: z.number().min(200).max(3000),
});

/** The choices with what the workshop works with, whose records are kept beside them. */
export const houseRulesSchema = houseChoicesSchema.extend({
  scales: z.array(scaleSchema),
  jugs: z.array(jugSchema),
});
