import { pourLetter } from '../../../../core/plan/plan';
import { showPercent, showTemperature } from '../../../../core/units/showQuantity';
import type { Describe } from '../described';

export const breaksThrough: Describe<'heat-breaks-through'> = (
  { pourIndex, share, atC, isLikely, isEarly },
  showing,
) => {
  const letter = pourLetter(pourIndex ?? 0);
  return {
    title: isLikely ? `${letter} will break through the layer below` : `${letter} may break through`,
    reason: `Poured at ${showTemperature(atC, showing)}, ${isEarly ? 'before the skin carries, ' : ''}it melts through in ${showPercent(share, showing.locale, 0)} of the samples. Wait longer, or pour cooler; try the skin by touch first.`,
    fixLabel: isEarly ? 'Pour when the skin carries' : 'Leave heat and moment to the pour plan',
  };
};
