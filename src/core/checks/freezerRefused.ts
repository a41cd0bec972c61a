import { dewPointC } from '../heat/air';
import { showTemperature } from '../units/showQuantity';
import type { Check } from './finding';

/** A plan that goes into the freezer where the house rule is none. The reason is the room's dew point. */
export const freezerRefused: Check = {
  code: 'freezer-refused',

  run: ({ making: { freezerMin, room } }, { rules }) =>
    freezerMin === null || rules.freezer !== 'never'
      ? []
      : [
          {
            code: freezerRefused.code,
            severity: 'stop',
            pourIndex: null,
            doseIndexes: [],
            about: '',
            figures: { dewC: dewPointC(room) },
            assumed: false,
            mend: [{ edit: 'set-freezer', freezerMin: null }],
          },
        ],

  say: ({ figures: { dewC = 0 } }, showing) => ({
    title: 'The house rule is no freezer',
    reason: `Out of it the surface is below the room’s dew point of ${showTemperature(dewC, showing)} and gathers water. It is left out of the pour plan.`,
    mendLabel: 'Leave the freezer out',
  }),
};
