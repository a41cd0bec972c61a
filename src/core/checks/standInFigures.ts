import type { Assumption } from '../plan/recipe';
import { ASSUMPTIONS } from '../plan/recipe';
import type { SheetPour } from '../plan/sheet';
import type { Check, Finding } from './finding';

const FIGURES: Record<Assumption, string> = {
  density: 'density',
  'spoon-density': 'density in the spoon',
  'drop-size': 'size of a drop',
  'block-mass': 'weight of a block',
};

/** Weights that rest on a usual figure, because the material's own was never measured. */
export const standInFigures: Check = {
  code: 'stand-in-figures',

  run: (sheet) => sheet.pours.flatMap(checkPour),

  say({ about, figures }) {
    const names = ASSUMPTIONS.filter((assumption) => figures[assumption]).map(
      (assumption) => FIGURES[assumption],
    );
    return {
      title: `${about}: usual ${names.join(' and ')} assumed`,
      reason: figures.isBase
        ? 'How much base the mold takes rests on it. Measure it once and enter it on the shelf.'
        : 'The weight is only as good as that figure. Measure it once and enter it on the shelf.',
      mendLabel: null,
    };
  },
};

function checkPour(pour: SheetPour, pourIndex: number): Finding[] {
  const common = {
    code: standInFigures.code,
    severity: 'note',
    pourIndex,
    assumed: true,
    mend: null,
  } as const;
  const ofBase: Finding[] = pour.baseDensityAssumed
    ? [
        {
          ...common,
          doseIndexes: [],
          about: pour.base.name,
          materialId: pour.base.id,
          figures: { density: 1, isBase: 1 },
        },
      ]
    : [];
  const ofDoses = pour.lines
    .filter((line) => line.assumed.length > 0)
    .map(({ doseIndex, material, assumed }) => ({
      ...common,
      doseIndexes: [doseIndex],
      about: material.name,
      materialId: material.id,
      figures: Object.fromEntries(assumed.map((assumption) => [assumption, 1])),
    }));
  return [...ofBase, ...ofDoses];
}
