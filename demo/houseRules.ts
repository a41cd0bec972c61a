import type { Jug, Scale } from '../src/core/houseRules/houseRules';

// The invented workshop's scales and jugs; its choices are the usual ones.
export const SCALES: Scale[] = [
  { id: 'pocket-scale', name: 'Pocket scale', stepG: 0.01, gramsStepG: null, capacityG: 200 },
  { id: 'kitchen-scale', name: 'Kitchen scale', stepG: 1, gramsStepG: null, capacityG: 5000 },
];

export const JUGS: Jug[] = [
  { id: 'beaker', name: 'Beaker', holdsMl: 150, taught: [] },
  { id: 'small-glass-jug', name: 'Small glass jug', holdsMl: 500, taught: [] },
  { id: 'large-glass-jug', name: 'Large glass jug', holdsMl: 1800, taught: [] },
];
