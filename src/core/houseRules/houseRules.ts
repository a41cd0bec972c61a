import type { z } from '../zod';
import type { houseChoicesSchema, houseRulesSchema } from './houseRulesSchema';
import type { jugSchema } from './jugSchema';
import { USUAL_PRICING } from './pricing';
import type { scaleSchema } from './scaleSchema';
import { NO_MAKER, USUAL_SHEET } from './selling';

export type Scale = z.infer<typeof scaleSchema>;

export type Jug = z.infer<typeof jugSchema>;

export type HouseChoices = z.infer<typeof houseChoicesSchema>;

export type HouseRules = z.infer<typeof houseRulesSchema>;

/**
 * What holds until a workshop chooses otherwise. The choices are the ones that most crafters name first (common
 * practice, no source); jug loss, fill, headspace, cutting step and
 * grain sizes are our own assumptions, and so is the 2 % of reading error.
 */
export const USUAL_HOUSE_CHOICES: HouseChoices = {
  freezer: 'brief',
  pourCeiling: '52',
  fragranceBy: 'weight',
  micaIn: 'dry',
  spritz: 'always',
  meltIn: 'microwave',
  foodColour: 'refuse',
  wrap: 'same-day',
  batchCode: 'day',
  units: 'metric',
  currency: 'EUR',
  handsPerHour: null,
  fixedPerMonth: null,
  batchesPerMonth: 8,
  pricing: USUAL_PRICING,
  maker: NO_MAKER,
  labelSheet: USUAL_SHEET,
  jugLossFraction: 0.03,
  fillFraction: 0.95,
  readingErrorMost: 0.02,
  gritBodyMm: 0.8,
  gritFaceMm: 0.3,
  headspaceFraction: 0.25,
  cutStepG: 5,
  leastMeltG: 60,
  spareMoldId: null,
  microwaveW: 1000,
};

/** The usual choices of a workshop that has told of no scale and no jug. */
export const USUAL_HOUSE_RULES: HouseRules = { ...USUAL_HOUSE_CHOICES, scales: [], jugs: [] };
