import { showPercent } from '../../../core/units/showQuantity';
import type { Describe } from './described';

export const allergens: Describe<'allergens'> = ({ named }, { locale }) => ({
  title: `${named.length === 1 ? 'One allergen' : `${named.length} allergens`} to be named`,
  reason: `Of product: ${named
    .map(({ name, ofProduct }) => `${name} ${showPercent(ofProduct, locale, 3)}`)
    .join(', ')}. Above 0.01 % in a rinse-off product the EU has them named; look up your local rules.`,
  fixLabel: null,
});
