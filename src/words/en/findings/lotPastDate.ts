import { showDay } from '../showTime';
import type { Describe } from './described';

export const lotPastDate: Describe<'lot-past-date'> = ({ about, bestBefore }, { locale }) => ({
  title: `${about}: past its date`,
  reason: `Best before ${showDay(bestBefore, locale)}. Smell it and look at it, or open a newer lot.`,
  fixLabel: null,
});
