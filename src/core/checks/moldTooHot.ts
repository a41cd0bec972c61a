import { pourLetter } from '../plan/plan';
import { heatCaseOf } from '../pourPlan/heatCase';
import { showTemperature } from '../units/showQuantity';
import type { Check } from './finding';

/** From memory: thin plastic goes soft from about here, where nobody has told of its own figure. */
const THIN_PLASTIC_C = 60;
const BELOW_K = 3;

/** A pour that is hotter than its mold bears. */
export const moldTooHot: Check = {
  code: 'mold-too-hot',

  run: (sheet, { rules }) => {
    const { mold } = sheet;
    const mostC = mold.highestC ?? (mold.madeOf === 'thin-plastic' ? THIN_PLASTIC_C : null);
    if (mostC === null) return [];
    return heatCaseOf(sheet, rules).layers.flatMap(({ pourIndexes, atC }) =>
      atC <= mostC
        ? []
        : pourIndexes.map((pourIndex) => ({
            code: moldTooHot.code,
            severity: 'stop' as const,
            pourIndex,
            doseIndexes: [],
            about: mold.name,
            figures: { atC, mostC },
            assumed: mold.highestC === null,
            mend: [{ edit: 'set-when' as const, pourIndex, atC: Math.floor(mostC - BELOW_K) }],
          })),
    );
  },

  say({ pourIndex, about, assumed, figures: { atC = 0, mostC = 0 } }, showing) {
    return {
      title: `${pourLetter(pourIndex ?? 0)} is too hot for ${about}`,
      reason: `It is poured at ${showTemperature(atC, showing)}; ${assumed ? 'thin plastic usually bears' : 'the mold bears'} ${showTemperature(mostC, showing)} and warps above.`,
      mendLabel: `Pour it at ${showTemperature(Math.floor(mostC - BELOW_K), showing)}`,
    };
  },
};
