import { showPercent } from '../../../core/units/showQuantity';
import { bringLabel } from './bringLabel';
import type { Describe } from './described';

export const belowWorkingRange: Describe<'below-working-range'> = (
  { about, ofBase, least, isScent, assumed, fix },
  { locale },
) => ({
  title: `${about} ${showPercent(ofBase, locale)} of base, works from ${showPercent(least, locale)}`,
  reason: `${assumed ? 'By a usual figure, that' : 'That'} is too little${isScent ? ' to be smelled' : ' to do anything'}.`,
  fixLabel: bringLabel('up', fix, showPercent(least, locale)),
});
