import { showMass, showVolume } from '../../../core/units/showQuantity';
import type { Describe } from './described';

export const jugTooSmall: Describe<'jug-too-small'> = (
  { about, letters, melts, cutG, wholeMl, fillings },
  showing,
) => ({
  title: `${letters.join(', ')} takes ${melts} melts of ${showMass(cutG, showing)}${fillings > 1 ? ' for each filling' : ''}`,
  reason: `${showVolume(wholeMl, showing.locale)} does not go into ${about} with its headspace. Melt and pour one after the other, or use a larger jug; doses are shared out in the same way.`,
  fixLabel: null,
});
