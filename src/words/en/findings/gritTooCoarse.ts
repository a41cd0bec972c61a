import { showNumber } from '../../../core/units/showQuantity';
import type { Describe } from './described';
import { cameWords, takeOutLabel } from './takeOut';

export const gritTooCoarse: Describe<'grit-too-coarse'> = (
  { about, grainMm, mostMm, forFace, fix },
  { locale },
) => {
  const limit = `${showNumber(mostMm, 2, locale, 0)} mm ${forFace ? 'for a face' : 'by the house rules'}`;
  return {
    title:
      grainMm === null
        ? `Cannot tell whether ${about} is fine enough`
        : `${about} has grains of ${showNumber(grainMm, 2, locale, 0)} mm`,
    reason:
      grainMm === null
        ? `The shelf does not know its largest grain; ${limit} is the most. Coarse grains cut skin.`
        : `The most is ${limit}. Coarse grains cut skin.${cameWords({ fix })}`,
    fixLabel: takeOutLabel({ fix }),
  };
};
