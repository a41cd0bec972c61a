import { ceiling } from '../materials/defaults';
import type { Check, Found } from './finding';

/** A pour that is said to be hotter than its base bears. */
export const pourOverCeiling: Check = ({ pours }) =>
  pours.flatMap(({ base, when: { atC } }, pourIndex): Found[] => {
    const most = ceiling(base);
    if (atC === undefined || atC <= most.value) return [];
    return [
      {
        code: 'pour-over-ceiling',
        severity: 'stop',
        pourIndex,
        doseIndexes: [],
        about: base.name,
        ...(most.assumed ? { materialId: base.id } : {}),
        atC,
        mostC: most.value,
        assumed: most.assumed,
        fix: [{ kind: 'set-when', pourIndex, atC: null }],
      },
    ];
  });
