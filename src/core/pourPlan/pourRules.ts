import type { HouseRules } from '../houseRules/houseRules';

/** What of the house rules decides when to melt, pour and wait. */
export type PourRules = Pick<
  HouseRules,
  'pourCeiling' | 'freezer' | 'jugs' | 'headspaceFraction' | 'cutStepG' | 'meltIn' | 'microwaveW' | 'wrap'
>;
