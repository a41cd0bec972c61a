import type { SheetPour } from '../plan/sheet';
import type { Check, Finding } from './finding';

/** Weights that rest on a usual density or drop, because the material's own was never measured. */
export const standInFigures: Check = {
  code: 'stand-in-figures',

  run: (sheet) => sheet.pours.flatMap(checkPour),

  say: ({ about, figures: { baseToo = 0 } }) => ({
    title: `Usual densities stand in for ${about}`,
    reason: `${baseToo ? 'How much the mold takes rests on it. ' : ''}Enter the measured density on the shelf to make the weights your own.`,
    mendLabel: null,
  }),
};

function checkPour(pour: SheetPour, pourIndex: number): Finding[] {
  const assumed = pour.lines.filter((line) => line.assumed.length > 0);
  const names = new Set(assumed.map((line) => line.material.name));
  if (pour.baseDensityAssumed) names.add(pour.base.name);
  if (names.size === 0) return [];
  return [
    {
      code: standInFigures.code,
      severity: 'note',
      pourIndex,
      doseIndexes: assumed.map((line) => line.doseIndex),
      about: [...names].join(', '),
      figures: { baseToo: pour.baseDensityAssumed ? 1 : 0 },
      assumed: true,
      mend: null,
    },
  ];
}
