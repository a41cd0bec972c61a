import { pourLetter } from '../../../../core/plan/plan';
import { showTemperature } from '../../../../core/units/showQuantity';
import type { Describe } from '../described';

export const hotOnSkin: Describe<'heat-hot-on-skin'> = ({ pourIndex, atC, ruleC }, showing) => ({
  title: `${pourLetter(pourIndex ?? 0)} at ${showTemperature(atC, showing)} goes onto a fresh skin`,
  reason: `The house rule is ${showTemperature(ruleC, showing)} at the most on a set layer: hotter, it may melt through. Where the layer below has gone cold it is the way to join it.`,
  fixLabel: `Pour it at ${showTemperature(ruleC, showing)}`,
});
