import type { FoundOf } from '../../../core/checks/finding';
import type { Describe } from './described';

const NAMES: Record<FoundOf<'origins'>['origin'], string> = {
  nut: 'nuts',
  soy: 'soy',
  milk: 'milk',
  cereal: 'cereals',
  bee: 'bees',
  animal: 'animals',
};

export const origins: Describe<'origins'> = ({ about, origin }) => ({
  title: `Comes from ${NAMES[origin]}: ${about}`,
  reason: 'Tell whoever gets the bar.',
  fixLabel: null,
});
