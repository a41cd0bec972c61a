import type { Additive } from '../materials/additive';
import type { Base } from '../materials/base';
import { baseDensity } from '../materials/defaults';
import { isLaid } from '../plan/sheet';
import { doseLines } from './doseLines';
import type { Check, Found } from './finding';

/** By what it weighs where the shelf knows it; else grit sinks and petals float. Common practice, no source. */
function floats({ densityGPerMl, role }: Additive, base: Base): boolean {
  return densityGPerMl === null ? role === 'botanical' : densityGPerMl < baseDensity(base).value;
}

/** Grit that sinks and petals that float where the base does not hold them. */
export const solidsMove: Check = (sheet) =>
  doseLines(sheet).flatMap(({ pour: { base }, pourIndex, line, doseIndexes }): Found[] => {
    const { material } = line;
    if (isLaid(line)) return [];
    if (material.kind !== 'additive' || (material.role !== 'grit' && material.role !== 'botanical'))
      return [];
    if (base.suspension === true) return [];
    return [
      {
        code: 'solids-move',
        severity: 'note',
        pourIndex,
        doseIndexes,
        about: material.name,
        baseName: base.name,
        ...(base.suspension === null ? { materialId: base.id } : {}),
        floats: floats(material, base),
        unknown: base.suspension === null,
        assumed: false,
        fix: null,
      },
    ];
  });
