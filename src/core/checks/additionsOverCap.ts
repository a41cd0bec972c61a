import { additionsCap } from '../materials/defaults';
import type { SheetLine, SheetPour } from '../plan/sheet';
import { showPercent } from '../units/showQuantity';
import { exceeds } from './exceeds';
import type { Check, Finding } from './finding';

/** More of everything together than the base bears. */
export const additionsOverCap: Check = {
  code: 'additions-over-cap',

  run: (sheet) => sheet.pours.flatMap(checkPour),

  say({ about, figures: { ofBase = 0, cap = 0, gritOfBase = 0 }, assumed }, { locale }) {
    const whose = assumed ? `the usual cap for a base like ${about}` : `the cap of ${about}`;
    const grit = gritOfBase > 0 ? ` Grit, ${showPercent(gritOfBase, locale)}, is not counted in this.` : '';
    return {
      title: `Additions ${showPercent(ofBase, locale)} of base, cap ${showPercent(cap, locale)}`,
      reason: `All additions together are over ${whose}. The bar sets soft or not at all. Take some out.${grit}`,
      mendLabel: null,
    };
  },
};

function checkPour(pour: SheetPour, pourIndex: number): Finding[] {
  const gritApart = pour.base.baseKind !== 'syndet';
  const isGrit = (line: SheetLine) =>
    gritApart && line.material.kind === 'additive' && line.material.role === 'grit';
  const counted = pour.lines.filter((line) => !isGrit(line));
  const ofBase = counted.reduce((sum, line) => sum + line.ofBase, 0);
  const cap = additionsCap(pour.base);
  if (!exceeds(ofBase, cap.value)) return [];
  return [
    {
      code: additionsOverCap.code,
      severity: cap.assumed ? 'caution' : 'stop',
      pourIndex,
      doseIndexes: counted.map((line) => line.doseIndex),
      about: pour.base.name,
      figures: { ofBase, cap: cap.value, gritOfBase: Math.max(0, pour.additionsOfBase - ofBase) },
      assumed: cap.assumed,
      mend: null,
    },
  ];
}
