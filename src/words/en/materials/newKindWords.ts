import type { NewKind } from '../../../core/materials/newKind';
import { BASE_KIND_NAMES, FORM_NAMES, FRAGRANCE_KIND_NAMES, LOOK_NAMES, ROLE_NAMES } from './names';

/** What a new material is called by its kind: “Mica”, “Essential oil”. */
export function newKindWords(kind: NewKind): string {
  switch (kind.kind) {
    case 'base':
      return kind.baseKind === 'soap' ? LOOK_NAMES[kind.look] : BASE_KIND_NAMES[kind.baseKind];
    case 'fragrance':
      return FRAGRANCE_KIND_NAMES[kind.fragranceKind];
    case 'colorant':
      return FORM_NAMES[kind.form];
    case 'additive':
      return ROLE_NAMES[kind.role];
  }
}

/** What such kinds are together. */
export const NEW_KIND_GROUPS: Record<NewKind['kind'], string> = {
  base: 'A base',
  fragrance: 'A scent',
  colorant: 'A colour',
  additive: 'An additive',
};
