import { ceiling } from '../materials/defaults';
import { pourLetter } from '../plan/plan';
import { showTemperature } from '../units/showQuantity';
import type { Check } from './finding';

/** A pour that is said to be hotter than its base bears. */
export const pourOverCeiling: Check = {
  code: 'pour-over-ceiling',

  run: ({ pours }) =>
    pours.flatMap(({ base, when: { atC } }, pourIndex) => {
      const most = ceiling(base);
      if (atC === undefined || atC <= most.value) return [];
      return [
        {
          code: pourOverCeiling.code,
          severity: 'stop' as const,
          pourIndex,
          doseIndexes: [],
          about: base.name,
          ...(most.assumed ? { materialId: base.id } : {}),
          figures: { atC, mostC: most.value },
          assumed: most.assumed,
          mend: [{ edit: 'set-when' as const, pourIndex, atC: null }],
        },
      ];
    }),

  say({ pourIndex, about, assumed, figures: { atC = 0, mostC = 0 } }, showing) {
    return {
      title: `${pourLetter(pourIndex ?? 0)} is to be poured at ${showTemperature(atC, showing)}, and ${about} is spoilt above ${showTemperature(mostC, showing)}`,
      reason: `${assumed ? 'That is where a base usually begins to scorch and smell.' : 'That is its own ceiling.'} Pour it cooler.`,
      mendLabel: 'Leave its heat to the house rule',
    };
  },
};
