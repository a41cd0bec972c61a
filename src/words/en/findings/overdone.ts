import type { FoundOf } from '../../../core/checks/finding';
import { showPercent } from '../../../core/units/showQuantity';
import { bringLabel } from './bringLabel';
import type { Describe } from './described';

const REASONS: Record<FoundOf<'overdone'>['effect'], string> = {
  colour: 'It colours the lather, and can stain skin, tub and cloth.',
  glitter: 'The bar feels rough and sheds it.',
  salt: 'The bar turns crumbly and unpleasant.',
  other: 'More of it does no more good, and may harm the bar.',
};

export const overdone: Describe<'overdone'> = (
  { about, ofBase, most, effect, assumed, fix },
  { locale },
) => ({
  title: `${about} ${showPercent(ofBase, locale)} of base, ${assumed ? 'usually' : 'at most'} ${showPercent(most, locale)}`,
  reason: REASONS[effect],
  fixLabel: fix && bringLabel('down', fix, showPercent(most, locale)),
});
