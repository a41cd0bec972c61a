import { type HouseRules, USUAL_HOUSE_RULES } from '../src/core/houseRules/houseRules';

// The invented workshop's scales and jugs; everything else as is usual.
export const HOUSE_RULES: HouseRules = {
  ...USUAL_HOUSE_RULES,
  scales: [
    { name: 'Pocket scale', stepG: 0.01, gramsStepG: null, capacityG: 200 },
    { name: 'Kitchen scale', stepG: 1, gramsStepG: null, capacityG: 5000 },
  ],
  jugs: [
    { name: 'Beaker', holdsMl: 150, taught: [] },
    { name: 'Small glass jug', holdsMl: 500, taught: [] },
    { name: 'Large glass jug', holdsMl: 1800, taught: [] },
  ],
};
