import { baseShare } from '../plan/product';
import type { SheetLine, SheetPour } from '../plan/sheet';
import { showPercent } from '../units/showQuantity';
import { writeFigure } from '../units/writeQuantity';
import { exceeds } from './exceeds';
import type { Check, Finding } from './finding';

/**
 * More of a material than its supplier allows in the finished product. Each pour is looked at alone, since it
 * touches skin alone; the whole bar is an average of its pours and can't be higher than the worst of them.
 */
export const overSupplierLimit: Check = {
  code: 'over-supplier-limit',

  run: (sheet) => sheet.pours.flatMap(checkPour),

  say({ about, figures: { ofProduct = 0, limit = 0, mendOfBase = 0 } }, { locale }) {
    return {
      title: `${about} ${showPercent(ofProduct, locale)} of product, limit ${showPercent(limit, locale)}`,
      reason:
        'The supplier’s limit holds for the finished product, and protects skin. It may not be passed in any pour.',
      mendLabel: `Bring down to ${showPercent(mendOfBase, locale)} of base`,
    };
  },
};

function checkPour(pour: SheetPour, pourIndex: number): Finding[] {
  const byMaterial = new Map<string, SheetLine[]>();
  for (const line of pour.lines) {
    const same = byMaterial.get(line.material.id);
    if (same) same.push(line);
    else byMaterial.set(line.material.id, [line]);
  }
  return [...byMaterial.values()].flatMap((lines) => checkMaterial(pour, pourIndex, lines));
}

function checkMaterial(pour: SheetPour, pourIndex: number, lines: SheetLine[]): Finding[] {
  const material = lines[0]?.material;
  const limit = material?.maxOfProduct ?? null;
  if (material === undefined || limit === null) return [];
  const ofProduct = lines.reduce((sum, line) => sum + line.ofProduct, 0);
  if (!exceeds(ofProduct, limit)) return [];
  const mendOfBase = mendedShare(pour, lines, limit);
  return [
    {
      code: overSupplierLimit.code,
      severity: 'stop',
      pourIndex,
      doseIndexes: lines.map((line) => line.doseIndex),
      about: material.name,
      figures: { ofProduct, limit, mendOfBase },
      assumed: false,
      mend: lines.map((line) => ({
        edit: 'set-dose',
        pourIndex,
        doseIndex: line.doseIndex,
        text: `${writeFigure((line.ofProduct / ofProduct) * mendOfBase * 100, 4, 'down')} %`,
      })),
    },
  ];
}

/**
 * A share of base that is safely within the limit. Fixed doses beside it thin out as the base weight grows in
 * the mended plan, and doses that relate to it go down with it, so both are left out of the others: the mend may be
 * a little lower than it must be.
 */
function mendedShare(pour: SheetPour, lines: SheetLine[], limit: number): number {
  const others = pour.lines
    .filter((line) => !lines.includes(line) && line.saidAs === 'share')
    .reduce((sum, line) => sum + line.ofBase, 0);
  return baseShare(limit, others);
}
