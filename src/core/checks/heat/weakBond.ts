import { pourLetter } from '../../plan/plan';
import { lengthWords } from '../../pourPlan/lengthWords';
import { showPercent, showTemperature } from '../../units/showQuantity';
import type { PlanEdit } from '../finding';
import { type HeatCheck, heatFinding } from './heatCheck';

const TOLD_SHARE = 0.5;
const WAITED_S = 60;

/** A pour that comes too late or too cool to join the layer below. */
export const weakBond: HeatCheck = {
  code: 'heat-weak-bond',

  run: ({ pourPlan }) =>
    pourPlan.layers.flatMap(({ pourIndexes, bond, rewarm, atC, afterS, chosen, window }) => {
      if (!bond || !window || (bond.likely !== 'weak' && bond.shares.weak < TOLD_SHARE)) return [];
      const pourIndex = pourIndexes[0] ?? 0;
      const lateS = afterS - window.idealS;
      const waits = !chosen && lateS > WAITED_S;
      const mend = ((): PlanEdit | null => {
        if (bond.likely !== 'weak') return null;
        if (chosen && lateS > WAITED_S) return { edit: 'set-when', pourIndex, afterMin: null };
        return rewarm ? { edit: 'set-when', pourIndex, atC: rewarm.fromC } : null;
      })();
      return [
        heatFinding({
          code: weakBond.code,
          severity: bond.likely === 'weak' ? 'caution' : 'note',
          pourIndex,
          figures: {
            share: bond.shares.weak,
            atC,
            afterS,
            latestS: window.latest.middle,
            waits: waits ? 1 : 0,
            likely: bond.likely === 'weak' ? 1 : 0,
            ...(rewarm ? { fromC: rewarm.fromC, toC: rewarm.toC } : {}),
            mendsTime: mend && 'afterMin' in mend ? 1 : 0,
          },
          mend: mend && [mend],
        }),
      ];
    }),

  say({ pourIndex, figures }, showing) {
    const {
      share = 0,
      atC = 0,
      afterS = 0,
      latestS = 0,
      waits = 0,
      fromC,
      toC,
      mendsTime = 0,
      likely = 0,
    } = figures;
    const letter = pourLetter(pourIndex ?? 0);
    if (!likely)
      return {
        title: `${letter} may bond weakly`,
        reason: `${showTemperature(atC, showing)} is near the coolest that joins the layer below: weak in ${showPercent(share, showing.locale, 0)} of the runs. Pour as soon as the skin carries, and spray with alcohol.`,
        mendLabel: null,
      };
    const heat = (tempC: number) => showTemperature(tempC, showing);
    const after = lengthWords(afterS, showing.locale);
    const why =
      afterS > latestS
        ? `${after} after the layer below it comes too late at ${heat(atC)}${waits ? ': its jug, the oven or your hands are not free sooner' : ''}.`
        : `At ${heat(atC)} it is hardly hot enough to join the layer below.`;
    const rewarm =
      fromC === undefined || toC === undefined
        ? 'No heat mends that: spray and score the layer below'
        : fromC === toC
          ? `Rewarm it to ${heat(fromC)}, or spray and score the layer below`
          : `Rewarm it to ${heat(fromC)} to ${heat(toC)}, or spray and score the layer below`;
    return {
      title: `${letter} bonds weakly`,
      reason: `${why} Weak in ${showPercent(share, showing.locale, 0)} of the runs. ${rewarm}.`,
      mendLabel: mendsTime
        ? 'Pour it at its moment'
        : fromC === undefined
          ? null
          : `Pour it at ${heat(fromC)}`,
    };
  },
};
