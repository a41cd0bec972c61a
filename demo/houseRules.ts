import {
  type HouseChoices,
  type Jug,
  type Scale,
  USUAL_HOUSE_CHOICES,
} from '../src/core/houseRules/houseRules';

/** The usual ones, with the invented workshop's name. */
export const CHOICES: HouseChoices = {
  ...USUAL_HOUSE_CHOICES,
  maker: { name: 'Quillmarsh Soap Room', address: 'Net Loft 3, Quillmarsh Harbour', contact: '' },
};

export const SCALES: Scale[] = [
  { id: 'pocket-scale', name: 'Pocket scale', stepG: 0.01, gramsStepG: null, capacityG: 200 },
  { id: 'kitchen-scale', name: 'Kitchen scale', stepG: 1, gramsStepG: null, capacityG: 5000 },
];

export const JUGS: Jug[] = [
  { id: 'beaker', name: 'Beaker', holdsMl: 150, taught: [] },
  { id: 'small-glass-jug', name: 'Small glass jug', holdsMl: 500, taught: [] },
  { id: 'large-glass-jug', name: 'Large glass jug', holdsMl: 1800, taught: [] },
];
