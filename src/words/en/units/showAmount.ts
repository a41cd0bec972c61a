import { type Showing, showMass, showNumber } from '../../../core/units/showQuantity';
import { plural } from '../plural';

/** Grams, or pieces of what is counted. */
export function showAmount(amount: number, isCounted: boolean, showing: Showing): string {
  if (!isCounted) return showMass(amount, showing);
  return `${showNumber(amount, 0, showing.locale)} ${plural(amount, 'piece', 'pieces')}`;
}
