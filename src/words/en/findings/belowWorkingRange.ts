import { showPercent } from '../../../core/units/showQuantity';
import type { Describe } from './described';

export const belowWorkingRange: Describe<'below-working-range'> = (
  { about, ofBase, least, isScent, assumed },
  { locale },
) => ({
  title: `${about} ${showPercent(ofBase, locale)} of base, works from ${showPercent(least, locale)}`,
  reason: `${assumed ? 'By a usual figure, that' : 'That'} is too little${isScent ? ' to be smelled' : ' to do anything'}.`,
  fixLabel: `Bring up to ${showPercent(least, locale)}`,
});
