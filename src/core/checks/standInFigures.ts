import { moldsFilled } from '../molds/filled';
import type { Mold } from '../molds/mold';
import type { SheetPour } from '../plan/sheet';
import type { Check, Found } from './finding';
import { PLAIN } from './plain';

/** Weights that rest on a usual figure, because the material's own was never measured. */
export const standInFigures: Check = (sheet) => [
  ...moldsFilled(sheet, sheet.fills).flatMap(usualMold),
  ...sheet.pours.flatMap(checkPour),
];

function usualMold({ measuredBy, name, capacityMl }: Mold): Found[] {
  if (measuredBy !== 'usual') return [];
  return [
    {
      ...PLAIN,
      code: 'usual-mold',
      severity: 'note',
      pourIndex: null,
      about: name,
      capacityMl,
      assumed: true,
    },
  ];
}

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
