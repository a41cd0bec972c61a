import type { Check, Found } from './finding';
import { PLAIN } from './plain';

/** What is laid where it does not stay as it was: plants that float up, spoil or brown, and goes that are not there. */
export const laidFits: Check = (sheet) =>
  sheet.pours.flatMap(({ laid, way }, pourIndex) =>
    laid.flatMap(({ material, doseIndex, laid: { where }, massG, wets }): Found[] => {
      if (!(massG > 0) || wets) return [];
      const common = { ...PLAIN, pourIndex, doseIndexes: [doseIndex], about: material.name };
      const isPlant = material.kind === 'additive' && material.role === 'botanical';
      return [
        ...(where === 'between-goes' && (way.goes ?? 1) < 2
          ? [{ ...common, code: 'laid-without-goes' as const, severity: 'caution' as const }]
          : []),
        ...(isPlant
          ? [
              {
                ...common,
                code: 'laid-plants' as const,
                severity: 'caution' as const,
                floats: where === 'under' || where === 'between-goes',
              },
            ]
          : []),
      ];
    }),
  );
