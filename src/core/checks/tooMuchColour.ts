import { usualMost } from '../materials/defaults';
import { contentOf } from '../plan/sheet';
import { exceeds } from './exceeds';
import type { Check, Found } from './finding';
import { ownDoses, timesDoses } from './timesDoses';

/** Several doses of colour that are each within what is usual, and together are more: each counts by its share of its own most. */
export const tooMuchColour: Check = (sheet) =>
  sheet.pours.flatMap((pour, pourIndex): Found[] => {
    const parts = contentOf(pour).flatMap((line) => {
      const most = usualMost(line.material);
      if (line.material.kind !== 'colorant' || line.wets || most === undefined || !(line.massG > 0))
        return [];
      return [{ line, ofMost: line.ofBase / most.value, assumed: most.assumed }];
    });
    const ofMost = parts.reduce((sum, part) => sum + part.ofMost, 0);
    // One that is too much by itself is told by itself.
    if (!exceeds(ofMost, 1) || parts.some((part) => exceeds(part.ofMost, 1))) return [];
    const lines = parts.map(({ line }) => line);
    return [
      {
        code: 'too-much-colour',
        severity: 'caution',
        pourIndex,
        doseIndexes: ownDoses(lines),
        about: pour.letter,
        ofMost,
        colorants: parts.length,
        pours: sheet.pours.length,
        assumed: parts.some(({ assumed }) => assumed),
        fix: timesDoses(lines, pourIndex, 1 / ofMost),
      },
    ];
  });
