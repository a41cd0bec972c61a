import { usualMost } from '../materials/defaults';
import type { DosedMaterial } from '../materials/material';
import { doseOf } from '../plan/sheet';
import { doseLines } from './doseLines';
import { exceeds } from './exceeds';
import type { Check, Found, FoundOf } from './finding';
import { timesDoses } from './timesDoses';

/** More than is usual: colour that comes off, glitter or salt overdone. */
export const overdone: Check = (sheet) =>
  doseLines(sheet).flatMap(({ pour, pourIndex, line, doseIndexes }): Found[] => {
    const most = usualMost(line.material);
    if (most === undefined || line.wets || !exceeds(line.ofBase, most.value)) return [];
    return [
      {
        code: 'overdone',
        severity: 'caution',
        pourIndex,
        doseIndexes,
        about: line.material.name,
        ofBase: line.ofBase,
        most: most.value,
        effect: effectOf(line.material),
        assumed: most.assumed,
        fix:
          doseIndexes.length > 0 && doseOf(pour, line.doseIndex).ofBase > 0
            ? timesDoses(doseOf(pour, line.doseIndex).lines, pourIndex, most.value / line.ofBase)
            : null,
      },
    ];
  });

function effectOf(material: DosedMaterial): FoundOf<'overdone'>['effect'] {
  if (material.kind === 'colorant') return 'colour';
  if (material.kind === 'additive' && (material.role === 'glitter' || material.role === 'salt'))
    return material.role;
  return 'other';
}
