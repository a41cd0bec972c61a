import { showTemperature } from '../../../core/units/showQuantity';
import type { Describe } from './described';

export const freezerRefused: Describe<'freezer-refused'> = ({ dewPointC }, showing) => ({
  title: 'The house rule is no freezer',
  reason: `Out of it the surface is below the room’s dew point of ${showTemperature(dewPointC, showing)} and gathers water. It is left out of the pour plan.`,
  fixLabel: 'Leave the freezer out',
});
