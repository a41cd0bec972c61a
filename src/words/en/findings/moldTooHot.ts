import { pourLetter } from '../../../core/plan/plan';
import { showTemperature } from '../../../core/units/showQuantity';
import type { Describe } from './described';

export const moldTooHot: Describe<'mold-too-hot'> = (
  { pourIndex, about, assumed, atC, mostC, coolerC },
  showing,
) => ({
  title: `${pourLetter(pourIndex ?? 0)} is too hot for ${about}`,
  reason: `It is poured at ${showTemperature(atC, showing)}; ${assumed ? 'thin plastic usually bears' : 'the mold bears'} ${showTemperature(mostC, showing)} and warps above.`,
  fixLabel: `Pour it at ${showTemperature(coolerC, showing)}`,
});
