import { DILUTION_PARTS } from '../../../core/checks/scaleFit';
import { showMass, showNumber, showPercent } from '../../../core/units/showQuantity';
import type { Describe } from './described';

export const noScales: Describe<'no-scales'> = () => ({
  title: 'Cannot tell whether the scale is fine enough',
  reason: 'No scale is entered. Add yours with its step and capacity in the house rules.',
  fixLabel: null,
});

export const overScaleCapacity: Describe<'over-scale-capacity'> = ({ about, massG, capacityG }, showing) => ({
  title: `${about}: ${showMass(massG, showing)} is more than any scale bears`,
  reason: `The largest bears ${showMass(capacityG, showing)}. Weigh it in parts.`,
  fixLabel: null,
});

export const scaleFit: Describe<'scale-fit'> = (found, showing) => {
  const { about, scaleName, massG, stepG, error, most, inGrams, pieces, dilutedError, isLiquid } = found;
  const percent = (fraction: number) => showPercent(fraction, showing.locale);
  const grams = (figure: number) => `${showNumber(figure, 3, showing.locale, 0)} g`;
  const ways = [
    ...(inGrams
      ? [`switch it to grams: it then shows ${grams(inGrams.stepG)}, ±${percent(inGrams.error)}`]
      : []),
    `use a scale that shows ${grams(massG * most * 2)} or finer`,
    ...(pieces === null ? [] : [`make ${pieces} pieces`]),
    ...(dilutedError <= most
      ? [
          `pre-dilute: 1 part in ${DILUTION_PARTS - 1} parts of ${isLiquid ? 'a carrier that is in the plan anyway' : 'melted base'}, and weigh ${showMass(massG * DILUTION_PARTS, showing)} of that, ±${percent(dilutedError)}`,
        ]
      : []),
  ];
  return {
    title: `${about}: ${showMass(massG, showing)} is too little for the scale`,
    reason: `${scaleName} moves by ${grams(stepG)}, so this reads to ±${percent(error)}. Ways out: ${ways.join('; ')}.`,
    fixLabel: pieces === null ? null : `Make ${pieces} pieces`,
  };
};
