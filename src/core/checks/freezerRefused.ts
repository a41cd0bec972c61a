import { dewPointC } from '../heat/air';
import type { Check } from './finding';

/** A plan that goes into the freezer where the house rule is none. The reason is the room's dew point. */
export const freezerRefused: Check = ({ making: { freezerMin, room } }, { rules }) =>
  freezerMin === null || rules.freezer !== 'never'
    ? []
    : [
        {
          code: 'freezer-refused',
          severity: 'stop',
          pourIndex: null,
          doseIndexes: [],
          about: '',
          dewPointC: dewPointC(room),
          assumed: false,
          fix: [{ kind: 'set-freezer', freezerMin: null }],
        },
      ];
