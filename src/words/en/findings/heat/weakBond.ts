import type { FoundOf } from '../../../../core/checks/finding';
import { pourLetter } from '../../../../core/plan/plan';
import { showPercent, showTemperature } from '../../../../core/units/showQuantity';
import { lengthWords } from '../../lengthWords';
import type { Describe } from '../described';

export const weakBond: Describe<'heat-weak-bond'> = (found, showing) => {
  const { pourIndex, share, atC, afterS, latestS, waits, rewarm, fixes, isLikely } = found;
  const letter = pourLetter(pourIndex ?? 0);
  const heat = (tempC: number) => showTemperature(tempC, showing);
  const often = `${showPercent(share, showing.locale, 0)} of the samples`;
  if (!isLikely)
    return {
      title: `${letter} may bond weakly`,
      reason: `${heat(atC)} is near the coolest that joins the layer below: weak in ${often}. Pour as soon as the skin carries, and spray with alcohol.`,
      fixLabel: null,
    };
  const why =
    afterS > latestS
      ? `${lengthWords(afterS, showing.locale)} after the layer below it comes too late at ${heat(atC)}${waits ? ': its jug, the oven or your hands are not free sooner' : ''}.`
      : `At ${heat(atC)} it is hardly hot enough to join the layer below.`;
  return {
    title: `${letter} bonds weakly`,
    reason: `${why} Weak in ${often}. ${wayOut(rewarm, heat)}.`,
    fixLabel:
      fixes === 'moment' ? 'Pour it at its moment' : fixes && rewarm && `Pour it at ${heat(rewarm.fromC)}`,
  };
};

function wayOut(rewarm: FoundOf<'heat-weak-bond'>['rewarm'], heat: (tempC: number) => string): string {
  if (rewarm === null) return 'No heat mends that: spray and score the layer below';
  const { fromC, toC } = rewarm;
  const range = fromC === toC ? heat(fromC) : `${heat(fromC)} to ${heat(toC)}`;
  return `Rewarm it to ${range}, or spray and score the layer below`;
}
