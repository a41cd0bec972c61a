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
  const isGrit = ({ material }: SheetLine) =>
    gritApart && material.kind === 'additive' && material.role === 'grit';
  const sum = (lines: SheetLine[]) => lines.reduce((total, line) => total + line.ofBase, 0);
  const ofBase = sum(pour.lines.filter((line) => !isGrit(line)));
  const gritOfBase = sum(pour.lines.filter(isGrit));
  const cap = additionsCap(pour.base);
  if (!exceeds(ofBase, cap.value)) return [];
  return [
    {
      code: additionsOverCap.code,
      severity: cap.assumed ? 'caution' : 'stop',
      pourIndex,
      // A sum is the fault of no single dose.
      doseIndexes: [],
      about: pour.base.name,
      figures: { ofBase, cap: cap.value, gritOfBase },
      assumed: cap.assumed,
      mend: null,
    },
  ];
}
