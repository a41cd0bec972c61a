import { showAmount } from '../units/showAmount';
import type { Describe } from './described';

export const stockShort: Describe<'stock-short'> = ({ about, need, left, isCounted }, showing) => {
  const show = (amount: number) => showAmount(amount, isCounted, showing);
  return {
    title: `${about}: ${show(need - left)} short`,
    reason: `This takes ${show(need)}, and ${show(Math.max(0, left))} is on the shelf.`,
    fixLabel: null,
  };
};
