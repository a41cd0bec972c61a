import { usualMost } from '../materials/defaults';
import type { DosedMaterial } from '../materials/material';
import { doseOf } from '../plan/sheet';
import { showPercent } from '../units/showQuantity';
import { doseLines } from './doseLines';
import { exceeds } from './exceeds';
import type { Check } from './finding';
import { timesDoses } from './timesDoses';

const EFFECTS = ['colour', 'glitter', 'salt', 'other'] as const;

const REASONS: Record<(typeof EFFECTS)[number], string> = {
  colour: 'It colours the lather, and can stain skin, tub and cloth.',
  glitter: 'The bar feels rough and sheds it.',
  salt: 'The bar turns crumbly and unpleasant.',
  other: 'More of it does no more good, and may harm the bar.',
};

/** More than is usual: colour that comes off, glitter or salt overdone. */
export const overdone: Check = {
  code: 'overdone',

  run: (sheet) =>
    doseLines(sheet).flatMap(({ pour, pourIndex, line }) => {
      const most = usualMost(line.material);
      if (most === undefined || line.wets || !exceeds(line.ofBase, most.value)) return [];
      return [
        {
          code: overdone.code,
          severity: 'caution' as const,
          pourIndex,
          doseIndexes: [line.doseIndex],
          about: line.material.name,
          figures: {
            ofBase: line.ofBase,
            most: most.value,
            effect: EFFECTS.indexOf(effectOf(line.material)),
          },
          assumed: most.assumed,
          mend:
            doseOf(pour, line.doseIndex).ofBase > 0
              ? timesDoses(doseOf(pour, line.doseIndex).lines, pourIndex, most.value / line.ofBase)
              : null,
        },
      ];
    }),

  say: ({ about, figures: { ofBase = 0, most = 0, effect = 3 }, assumed, mend }, { locale }) => ({
    title: `${about} ${showPercent(ofBase, locale)} of base, ${assumed ? 'usually' : 'at most'} ${showPercent(most, locale)}`,
    reason: REASONS[EFFECTS[effect] ?? 'other'],
    mendLabel: mend && `Bring down to ${showPercent(most, locale)}`,
  }),
};

function effectOf(material: DosedMaterial): (typeof EFFECTS)[number] {
  if (material.kind === 'colorant') return 'colour';
  if (material.kind === 'additive' && (material.role === 'glitter' || material.role === 'salt'))
    return material.role;
  return 'other';
}
