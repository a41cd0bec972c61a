import { showNumber } from '../units/showQuantity';
import { doseLines } from './doseLines';
import { exceeds } from './exceeds';
import type { Check, Severity } from './finding';

/** Grains that scratch: shell and stone must be finely ground, and finer for a face. */
export const gritTooCoarse: Check = {
  code: 'grit-too-coarse',

  run: (sheet, { rules }) => {
    const forFace = sheet.use === 'face' || sheet.use === 'head-to-toe';
    const most = forFace ? rules.gritFaceMm : rules.gritBodyMm;
    return doseLines(sheet).flatMap(({ line: { material, doseIndex }, pourIndex }) => {
      if (material.kind !== 'additive' || material.role !== 'grit') return [];
      const unknown = material.grainMm === null;
      if (!unknown && !exceeds(material.grainMm ?? 0, most)) return [];
      return [
        {
          code: gritTooCoarse.code,
          severity: (unknown || !forFace ? 'caution' : 'stop') as Severity,
          pourIndex,
          doseIndexes: [doseIndex],
          about: material.name,
          ...(unknown ? { materialId: material.id } : {}),
          figures: {
            grainMm: material.grainMm ?? 0,
            most,
            forFace: forFace ? 1 : 0,
            unknown: unknown ? 1 : 0,
          },
          assumed: false,
          mend: [{ edit: 'remove-dose' as const, pourIndex, doseIndex }],
        },
      ];
    });
  },

  say({ about, figures: { grainMm = 0, most = 0, forFace = 0, unknown = 0 } }, { locale }) {
    const limit = `${showNumber(most, 2, locale, 0)} mm ${forFace ? 'for a face' : 'by the house rules'}`;
    return {
      title: unknown
        ? `Cannot tell whether ${about} is fine enough`
        : `${about} has grains of ${showNumber(grainMm, 2, locale, 0)} mm`,
      reason: unknown
        ? `The shelf does not know its largest grain; ${limit} is the most. Coarse grains cut skin.`
        : `The most is ${limit}. Coarse grains cut skin.`,
      mendLabel: 'Take it out',
    };
  },
};
