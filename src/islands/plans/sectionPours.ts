import type { Sheet } from '../../core/plan/sheet';
import type { SectionPour } from '../section/drawing';

/** A sheet's pours as they lie in one cavity; none where the mold's shape is not known. */
export function sectionPours(sheet: Sheet): SectionPour[] {
  return sheet.pours.flatMap(({ letter, base, fromMm, toMm }) =>
    fromMm === null || toMm === null ? [] : [{ letter, look: base.look, fromMm, toMm }],
  );
}
