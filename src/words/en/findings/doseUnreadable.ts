import { parseQuantity } from '../../../core/units/parseQuantity';
import { explainQuantityFault } from '../units/quantityFault';
import type { Describe } from './described';

export const doseUnreadable: Describe<'dose-unreadable'> = ({ about, text, isLaid }) => {
  if (isLaid)
    return {
      title: `${about}: laid on, it needs an amount`,
      reason: `“${text}” is a share of the base, and it goes into none. Write so much in all or for each piece: “6 g”, “½ tsp”, “a pinch/piece”.`,
      fixLabel: null,
    };
  const parsed = parseQuantity(text);
  return {
    title: `${about}: dose can’t be read`,
    reason: parsed.success
      ? parsed.data.kind === 'toTaste'
        ? 'Nobody knows the least that is usual of it, so there is nothing to begin with. Write a first dose, or enter the least on the shelf.'
        : 'It is not in any weight yet.'
      : `${explainQuantityFault(parsed.error)} Until then it is in no weight.`,
    fixLabel: null,
  };
};
