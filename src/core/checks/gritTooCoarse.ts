import { doseLines } from './doseLines';
import { exceeds } from './exceeds';
import type { Check, Found } from './finding';

/** Grains that scratch: shell and stone must be finely ground, and finer for a face. */
export const gritTooCoarse: Check = (sheet, { rules }) => {
  const forFace = sheet.use === 'face' || sheet.use === 'head-to-toe';
  const most = forFace ? rules.gritFaceMm : rules.gritBodyMm;
  return doseLines(sheet).flatMap(({ line: { material }, pourIndex, doseIndexes, takeOut }): Found[] => {
    if (material.kind !== 'additive' || material.role !== 'grit') return [];
    const unknown = material.grainMm === null;
    if (!unknown && !exceeds(material.grainMm ?? 0, most)) return [];
    return [
      {
        code: 'grit-too-coarse',
        severity: unknown || !forFace ? 'caution' : 'stop',
        pourIndex,
        doseIndexes,
        about: material.name,
        ...(unknown ? { materialId: material.id } : {}),
        grainMm: material.grainMm,
        mostMm: most,
        forFace,
        assumed: false,
        fix: takeOut,
      },
    ];
  });
};
