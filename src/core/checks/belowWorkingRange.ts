import { usualLeast } from '../materials/defaults';
import { contentOf } from '../plan/sheet';
import { exceeds } from './exceeds';
import type { Check, Found } from './finding';
import { timesDoses } from './timesDoses';

/** Too little to do its work: a scent nobody can smell. Fragrances of a pour work together. */
export const belowWorkingRange: Check = (sheet) =>
  sheet.pours.flatMap((pour, pourIndex) => {
    const scents = contentOf(pour).filter(
      ({ material, massG }) => material.kind === 'fragrance' && massG > 0,
    );
    return pour.lines.flatMap((line): Found[] => {
      const least = usualLeast(line.material);
      if (least === undefined || !(line.massG > 0) || line.wets) return [];
      const isScent = line.material.kind === 'fragrance';
      // A usual figure is of scent as such; a figure of its own holds for the material alone.
      const together = least.assumed && isScent ? scents : [line];
      const ofBase = together.reduce((sum, each) => sum + each.ofBase, 0);
      if (!exceeds(least.value, ofBase)) return [];
      return [
        {
          code: 'below-working-range',
          severity: least.assumed ? 'note' : 'caution',
          pourIndex,
          doseIndexes: [line.doseIndex],
          about: line.material.name,
          ofBase,
          least: least.value,
          isScent,
          assumed: least.assumed,
          fix: timesDoses(together, pourIndex, least.value / ofBase),
        },
      ];
    });
  });
