import type { Found } from '../finding';
import { PLAIN } from '../plain';
import type { HeatCheck } from './heatCheck';

const TOLD_MM = 1;

/** Grit that sinks and petals that float before the pour sets, and what holds them. */
export const grainMoves: HeatCheck = ({ sheet, pourPlan }) =>
  pourPlan.grains.flatMap(({ pourIndex, doseIndex, name, movesMm, staysBelowC }): Found[] =>
    Math.abs(movesMm) <= TOLD_MM
      ? []
      : [
          {
            ...PLAIN,
            code: 'heat-grain-moves',
            severity: 'caution',
            pourIndex,
            doseIndexes: doseIndex === null ? [] : [doseIndex],
            about: name,
            baseName: sheet.pours[pourIndex]?.base.name ?? '',
            movesMm,
            staysBelowC,
            fix:
              staysBelowC === null
                ? null
                : [{ kind: 'set-when', pourIndex, atC: Math.floor(staysBelowC * 2) / 2 }],
          },
        ],
  );
