import type { Sheet } from '../../core/plan/sheet';
import type { SectionPour } from '../shared/Section';

/** A sheet's pours as they lie in one cavity. */
export function sectionPours(sheet: Sheet): SectionPour[] {
  return sheet.pours.map(({ letter, base, intoMoldMl }) => ({
    letter,
    look: base.look,
    volumeMl: intoMoldMl / sheet.pieces,
  }));
}
