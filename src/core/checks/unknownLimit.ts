import type { Use } from '../materials/fields';
import { supplierLimit } from '../materials/supplierLimit';
import type { SheetLine } from '../plan/sheet';
import { doseLines } from './doseLines';
import type { Check } from './finding';

/** No facts to judge by: the release for skin is unknown, or a fragrance has no limit on record. */
export const unknownLimit: Check = (sheet) =>
  doseLines(sheet)
    .filter(({ line }) => lacksFacts(line, sheet.use))
    .map(({ line, pourIndex, doseIndexes }) => ({
      code: 'unknown-limit',
      severity: 'caution',
      pourIndex,
      doseIndexes,
      about: line.material.name,
      materialId: line.material.id,
      releaseUnknown: line.material.skin === 'unknown',
      assumed: false,
      fix: null,
    }));

function lacksFacts({ material }: SheetLine, use: Use): boolean {
  if (material.skin === 'not-released' || material.skin === 'candle-only') return false;
  return (
    material.skin === 'unknown' || (material.kind === 'fragrance' && supplierLimit(material, use) === null)
  );
}
