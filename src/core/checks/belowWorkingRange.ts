import { usualLeast } from '../materials/defaults';
import { contentOf } from '../plan/sheet';
import { showPercent } from '../units/showQuantity';
import { exceeds } from './exceeds';
import type { Check } from './finding';
import { timesDoses } from './timesDoses';

/** Too little to do its work: a scent nobody can smell. Fragrances of a pour work together. */
export const belowWorkingRange: Check = {
  code: 'below-working-range',

  run: (sheet) =>
    sheet.pours.flatMap((pour, pourIndex) => {
      const scents = contentOf(pour).filter(
        ({ material, massG }) => material.kind === 'fragrance' && massG > 0,
      );
      return pour.lines.flatMap((line) => {
        const least = usualLeast(line.material);
        if (least === undefined || !(line.massG > 0) || line.wets) return [];
        const isScent = line.material.kind === 'fragrance';
        // A usual figure is of scent as such; a figure of its own holds for the material alone.
        const together = least.assumed && isScent ? scents : [line];
        const ofBase = together.reduce((sum, each) => sum + each.ofBase, 0);
        if (!exceeds(least.value, ofBase)) return [];
        return [
          {
            code: belowWorkingRange.code,
            severity: least.assumed ? ('note' as const) : ('caution' as const),
            pourIndex,
            doseIndexes: [line.doseIndex],
            about: line.material.name,
            figures: { ofBase, least: least.value, isScent: isScent ? 1 : 0 },
            assumed: least.assumed,
            mend: timesDoses(together, pourIndex, least.value / ofBase),
          },
        ];
      });
    }),

  say: ({ about, figures: { ofBase = 0, least = 0, isScent = 0 }, assumed }, { locale }) => ({
    title: `${about} ${showPercent(ofBase, locale)} of base, works from ${showPercent(least, locale)}`,
    reason: `${assumed ? 'By a usual figure, that' : 'That'} is too little${isScent ? ' to be smelled' : ' to do anything'}.`,
    mendLabel: `Bring up to ${showPercent(least, locale)}`,
  }),
};
