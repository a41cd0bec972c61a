import { isRelationFault } from '../plan/relations';
import type { Check, Found } from './finding';

/** A dose in relation to something that can't be told. */
export const relationUnresolved: Check = (sheet) =>
  sheet.pours.flatMap((pour, pourIndex) =>
    pour.unreadable.flatMap(({ doseIndex, material, text, why }): Found[] =>
      isRelationFault(why)
        ? [
            {
              code: 'relation-unresolved',
              severity: 'stop',
              pourIndex,
              doseIndexes: [doseIndex],
              about: material.name,
              text,
              fault: why,
              assumed: false,
              fix: null,
            },
          ]
        : [],
    ),
  );
