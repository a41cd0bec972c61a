import { parseQuantity } from '../../../core/units/parseQuantity';
import { explainQuantityFault } from '../units/quantityFault';
import type { Describe } from './described';

export const doseUnreadable: Describe<'dose-unreadable'> = ({ about, text }) => {
  const parsed = parseQuantity(text);
  return {
    title: `${about}: dose can’t be read`,
    reason: parsed.success
      ? 'It is not in any weight yet.'
      : `${explainQuantityFault(parsed.error)} Until then it is in no weight.`,
    fixLabel: null,
  };
};
