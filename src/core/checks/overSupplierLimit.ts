import { supplierLimit } from '../materials/supplierLimit';
import { baseShare } from '../plan/product';
import {
  doseOf,
  inProduct,
  isInherited,
  isLaid,
  type Sheet,
  type SheetLine,
  type SheetPour,
} from '../plan/sheet';
import type { PassedLimit } from './capCheck';
import { exceeds } from './exceeds';
import type { Check } from './finding';
import { ownDoses, timesDoses } from './timesDoses';

/**
 * More of a material than its supplier allows in the finished product. Each pour is looked at alone, since it
 * touches skin alone; the whole bar is an average of its pours and can't be higher than the worst of them.
 */
export const overSupplierLimit: Check = (sheet) =>
  sheet.pours.flatMap((pour, pourIndex) =>
    passedSupplierLimits(sheet, pour, pourIndex).map(({ finding }) => finding),
  );

/** The suppliers' limits that one pour passes. */
export function passedSupplierLimits(sheet: Sheet, pour: SheetPour, pourIndex: number): PassedLimit[] {
  const byMaterial = new Map<string, SheetLine[]>();
  for (const line of inProduct(pour)) {
    if (line.leaves) continue;
    const same = byMaterial.get(line.material.id);
    if (same) same.push(line);
    else byMaterial.set(line.material.id, [line]);
  }
  return [...byMaterial.values()].flatMap((lines) => checkMaterial(sheet, pour, pourIndex, lines));
}

function checkMaterial(sheet: Sheet, pour: SheetPour, pourIndex: number, lines: SheetLine[]): PassedLimit[] {
  const material = lines[0]?.material;
  const known = material ? supplierLimit(material, sheet.use) : null;
  if (material === undefined || known === null) return [];
  const { maxOfProduct: limit, forUse } = known;
  const ofProduct = lines.reduce((sum, line) => sum + line.ofProduct, 0);
  if (!exceeds(ofProduct, limit)) return [];
  const { ofBase, factor } = fixed(sheet, pour, lines, limit);
  const fix = timesDoses(lines, pourIndex, factor);
  return [
    {
      countedG: ofProduct * pour.jugG,
      limit,
      ofG: pour.jugG,
      finding: {
        code: 'over-supplier-limit',
        severity: 'stop',
        pourIndex,
        doseIndexes: ownDoses(lines),
        about: material.name,
        ofProduct,
        limit,
        forUse,
        fixOfBase: lines.some(isInherited) ? null : ofBase,
        ofBar: (massOfEach(sheet).get(material.id) ?? 0) / (sheet.totals.jugG + sheet.totals.laidG),
        pours: sheet.pours.length,
        assumed: false,
        fix,
      },
    },
  ];
}

const massesOf = new WeakMap<Sheet, ReadonlyMap<string, number>>();

/** What is in all bars of each material that stays in them, g: added up once for the limits of all pours. */
function massOfEach(sheet: Sheet): ReadonlyMap<string, number> {
  const known = massesOf.get(sheet);
  if (known) return known;
  const massG = new Map<string, number>();
  for (const { material, leaves, massG: ofLine } of sheet.pours.flatMap(inProduct))
    if (!leaves) massG.set(material.id, (massG.get(material.id) ?? 0) + ofLine);
  massesOf.set(sheet, massG);
  return massG;
}

/**
 * The doses' shares of the base, and what brings them safely within the limit. Fixed doses beside them thin out as the base
 * weight grows in the changed plan, doses that relate to them go down with them, and so do the other members of a blend,
 * so all of these are left out of the others: the fix may be a little lower than it must be. What is laid counts as if it
 * were a share of the base that reaches the molds.
 */
function fixed(sheet: Sheet, pour: SheetPour, lines: SheetLine[], limit: number) {
  const own = new Set(ownDoses(lines));
  const others = [...new Set(pour.lines.map((line) => line.doseIndex))]
    .filter((doseIndex) => !own.has(doseIndex))
    .map((doseIndex) => doseOf(pour, doseIndex))
    .filter(({ lines: [first] }) => first?.saidAs === 'share')
    .reduce((sum, { ofBase }) => sum + ofBase, 0);
  const stirred = lines.reduce((sum, { ofBase }) => sum + ofBase, 0);
  const laid = lines.reduce((sum, line) => sum + (isLaid(line) ? line.massG : 0), 0);
  if (laid === 0) {
    // What comes with base that is melted again is no addition: x of it and d that is added are (x + d) / (1 + d).
    const inherited = lines.reduce((sum, line) => sum + (isInherited(line) ? line.ofBase : 0), 0);
    const ofBase =
      inherited === 0
        ? baseShare(limit, others)
        : inherited + (limit * (1 + others) - inherited) / (1 - limit);
    return { ofBase, factor: ofBase / stirred };
  }
  const asShare = stirred + laid / (pour.baseG * (1 - sheet.jugLossFraction));
  return { ofBase: null, factor: (limit * (1 + others)) / asShare };
}
