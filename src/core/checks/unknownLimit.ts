import type { SheetLine } from '../plan/sheet';
import type { Check } from './finding';

/** No facts to judge by: the release for skin is unknown, or a fragrance has no limit on record. */
export const unknownLimit: Check = {
  code: 'unknown-limit',

  run: (sheet) =>
    sheet.pours.flatMap((pour, pourIndex) =>
      pour.lines
        .filter(({ massG }) => massG > 0)
        .filter(lacksFacts)
        .map((line) => ({
          code: unknownLimit.code,
          severity: 'caution',
          pourIndex,
          doseIndexes: [line.doseIndex],
          about: line.material.name,
          materialId: line.material.id,
          figures: { releaseUnknown: line.material.skin === 'unknown' ? 1 : 0 },
          assumed: false,
          mend: null,
        })),
    ),

  say: ({ about, figures: { releaseUnknown = 0 } }) => ({
    title: `Cannot tell whether ${about} is safe at this dose`,
    reason: releaseUnknown
      ? 'The shelf does not know whether it is released for skin. Look at the supplier’s sheet and enter it on the shelf.'
      : 'The shelf has no limit for it. Look at the supplier’s sheet and enter the limit on the shelf.',
    mendLabel: null,
  }),
};

function lacksFacts({ material }: SheetLine): boolean {
  if (material.skin === 'not-released' || material.skin === 'candle-only') return false;
  return material.skin === 'unknown' || (material.kind === 'fragrance' && material.maxOfProduct === null);
}
