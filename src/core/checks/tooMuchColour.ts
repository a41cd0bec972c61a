import { usualMost } from '../materials/defaults';
import { contentOf } from '../plan/sheet';
import { showNumber, showPercent } from '../units/showQuantity';
import { exceeds } from './exceeds';
import type { Check } from './finding';
import { ownDoses, timesDoses } from './timesDoses';

/** Several doses of colour that are each within what is usual, and together are more: each counts by its share of its own most. */
export const tooMuchColour: Check = {
  code: 'too-much-colour',

  run: (sheet) =>
    sheet.pours.flatMap((pour, pourIndex) => {
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
          code: tooMuchColour.code,
          severity: 'caution' as const,
          pourIndex,
          doseIndexes: ownDoses(lines),
          about: pour.letter,
          figures: { ofMost, colorants: parts.length, pours: sheet.pours.length },
          assumed: parts.some(({ assumed }) => assumed),
          mend: timesDoses(lines, pourIndex, 1 / ofMost),
        },
      ];
    }),

  say: ({ about, figures: { ofMost = 1, colorants = 2, pours = 1 }, mend }, { locale }) => ({
    title: `${pours > 1 ? `Pour ${about}: ` : ''}${colorants} doses of colour, together ${showNumber(ofMost, 1, locale)} times what is usual`,
    reason:
      'Each is within its own most, but they add up. It colours the lather, and can stain skin, tub and cloth.',
    mendLabel: mend && `Bring all of them to ${showPercent(1 / ofMost, locale)} of what they are`,
  }),
};
