import { pourLetter } from '../../plan/plan';
import { showPercent, showTemperature } from '../../units/showQuantity';
import { type HeatCheck, heatFinding } from './heatCheck';

/** More often than this it is told. */
const TOLD_SHARE = 0.25;

/** A pour that melts through the layer below, likely or perhaps. */
export const breaksThrough: HeatCheck = {
  code: 'heat-breaks-through',

  run: ({ pourPlan }) =>
    pourPlan.layers.flatMap(({ pourIndexes, bond, atC, afterS, chosen, window }) => {
      if (!bond || (bond.likely !== 'broken' && bond.shares.broken < TOLD_SHARE)) return [];
      const pourIndex = pourIndexes[0] ?? 0;
      const isEarly = chosen && window !== null && afterS < window.earliest.middle;
      return [
        heatFinding({
          code: breaksThrough.code,
          severity: 'caution',
          pourIndex,
          figures: {
            share: bond.shares.broken,
            atC,
            likely: bond.likely === 'broken' ? 1 : 0,
            early: isEarly ? 1 : 0,
          },
          mend: [
            {
              edit: 'set-when',
              pourIndex,
              ...(isEarly ? { afterMin: null } : { atC: null, afterMin: null }),
            },
          ],
        }),
      ];
    }),

  say({ pourIndex, figures: { share = 0, atC = 0, likely = 0, early = 0 } }, showing) {
    const letter = pourLetter(pourIndex ?? 0);
    return {
      title: likely ? `${letter} will break through the layer below` : `${letter} may break through`,
      reason: `Poured at ${showTemperature(atC, showing)}, ${early ? 'before the skin carries, ' : ''}it melts through in ${showPercent(share, showing.locale, 0)} of the runs. Wait longer, or pour cooler; try the skin by touch first.`,
      mendLabel: early ? 'Pour when the skin carries' : 'Leave heat and moment to the pour plan',
    };
  },
};
