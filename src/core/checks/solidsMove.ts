import type { Additive } from '../materials/additive';
import type { Base } from '../materials/base';
import { baseDensity } from '../materials/defaults';
import { doseLines } from './doseLines';
import type { Check } from './finding';

/** By what it weighs where the shelf knows it; else grit sinks and petals float. Common practice, no source. */
function floats({ densityGPerMl, role }: Additive, base: Base): boolean {
  return densityGPerMl === null ? role === 'botanical' : densityGPerMl < baseDensity(base).value;
}

/** Grit that sinks and petals that float where the base does not hold them. */
export const solidsMove: Check = {
  code: 'solids-move',

  run: (sheet) =>
    doseLines(sheet).flatMap(({ pour: { base }, pourIndex, line: { material, doseIndex } }) => {
      if (material.kind !== 'additive' || (material.role !== 'grit' && material.role !== 'botanical'))
        return [];
      if (base.suspension === true) return [];
      return [
        {
          code: solidsMove.code,
          severity: 'note' as const,
          pourIndex,
          doseIndexes: [doseIndex],
          about: material.name,
          text: base.name,
          ...(base.suspension === null ? { materialId: base.id } : {}),
          figures: {
            floats: floats(material, base) ? 1 : 0,
            unknown: base.suspension === null ? 1 : 0,
          },
          assumed: false,
          mend: null,
        },
      ];
    }),

  say: ({ about, text = '', figures: { floats = 0, unknown = 0 } }) => ({
    title: unknown
      ? `Cannot tell whether ${text} holds ${about}`
      : `${about} will ${floats ? 'float' : 'sink'} in ${text}`,
    reason: `${unknown ? 'The shelf does not know whether it is a suspension base. If not, it' : 'It'} ${floats ? 'rises' : 'settles'} in hot thin base. Stir on until it thickens and pour at once, or use a suspension base.`,
    mendLabel: null,
  }),
};
