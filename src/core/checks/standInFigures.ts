import type { SheetPour } from '../plan/sheet';
import type { Check, Found } from './finding';
import { PLAIN } from './plain';

/** Weights that rest on a usual figure, because the material's own was never measured. */
export const standInFigures: Check = (sheet) => [
  ...(sheet.mold.measuredBy === 'usual'
    ? [
        {
          ...PLAIN,
          code: 'usual-mold' as const,
          severity: 'note' as const,
          pourIndex: null,
          about: sheet.mold.name,
          capacityMl: sheet.mold.capacityMl,
          assumed: true,
        },
      ]
    : []),
  ...sheet.pours.flatMap(checkPour),
];

function checkPour(pour: SheetPour, pourIndex: number): Found[] {
  const common = {
    code: 'stand-in-figures',
    severity: 'note',
    pourIndex,
    assumed: true,
    fix: null,
  } as const;
  const ofBase: Found[] = pour.baseDensityAssumed
    ? [
        {
          ...common,
          doseIndexes: [],
          about: pour.base.name,
          materialId: pour.base.id,
          figures: ['density'],
          isBase: true,
        },
      ]
    : [];
  const ofDoses = pour.lines
    .filter((line) => line.assumed.length > 0)
    .map(
      ({ doseIndex, material, assumed }): Found => ({
        ...common,
        doseIndexes: [doseIndex],
        about: material.name,
        materialId: material.id,
        figures: assumed,
        isBase: false,
      }),
    );
  return [...ofBase, ...ofDoses];
}
