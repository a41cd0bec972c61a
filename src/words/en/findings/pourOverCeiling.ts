import { pourLetter } from '../../../core/plan/plan';
import { showTemperature } from '../../../core/units/showQuantity';
import type { Describe } from './described';

export const pourOverCeiling: Describe<'pour-over-ceiling'> = (
  { pourIndex, about, assumed, atC, mostC },
  showing,
) => ({
  title: `${pourLetter(pourIndex ?? 0)} is to be poured at ${showTemperature(atC, showing)}, and ${about} is spoilt above ${showTemperature(mostC, showing)}`,
  reason: `${assumed ? 'That is where a base usually begins to scorch and smell.' : 'That is its own ceiling.'} Pour it cooler.`,
  fixLabel: 'Leave its heat to the house rule',
});
