import { showVolume } from '../../../core/units/showQuantity';
import type { Describe } from './described';

export const usualMold: Describe<'usual-mold'> = ({ about, capacityMl }, { locale }) => ({
  title: `${about}: usual, not yours`,
  reason: `A cavity is taken to hold ${showVolume(capacityMl, locale)}. Fill one of yours with water, weigh it, and enter it in the mold book.`,
  fixLabel: null,
});
