import { fragranceCap } from '../materials/defaults';
import type { SheetPour } from '../plan/sheet';
import { showPercent } from '../units/showQuantity';
import { writeFigure } from '../units/writeQuantity';
import { exceeds } from './exceeds';
import type { Check, Finding } from './finding';

/** More fragrance than the base holds: the soap weeps it, goes soft and sweats. */
export const fragranceOverCap: Check = {
  code: 'fragrance-over-cap',

  run: (sheet) => sheet.pours.flatMap(checkPour),

  say({ about, figures: { ofBase = 0, cap = 0 }, assumed }, { locale }) {
    const whose = assumed ? `the usual cap for a base like ${about}` : `the cap of ${about}`;
    return {
      title: `Fragrance ${showPercent(ofBase, locale)} of base, cap ${showPercent(cap, locale)}`,
      reason: `That is over ${whose}. The surplus weeps out, and the bar turns soft and sweats.`,
      mendLabel: `Bring down to ${showPercent(cap, locale)}`,
    };
  },
};

function checkPour(pour: SheetPour, pourIndex: number): Finding[] {
  const fragrances = pour.lines.filter((line) => line.material.kind === 'fragrance');
  const ofBase = fragrances.reduce((sum, line) => sum + line.ofBase, 0);
  const cap = fragranceCap(pour.base);
  if (!exceeds(ofBase, cap.value)) return [];
  return [
    {
      code: fragranceOverCap.code,
      severity: cap.assumed ? 'caution' : 'stop',
      pourIndex,
      doseIndexes: fragrances.map((line) => line.doseIndex),
      about: pour.base.name,
      figures: { ofBase, cap: cap.value },
      assumed: cap.assumed,
      mend: fragrances.map((line) => ({
        edit: 'set-dose',
        pourIndex,
        doseIndex: line.doseIndex,
        text: `${writeFigure((line.ofBase / ofBase) * cap.value * 100, 4, 'down')} %`,
      })),
    },
  ];
}
