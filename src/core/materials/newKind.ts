import type { z } from '../zod';
import { ADDITIVE_ROLES } from './additive';
import { BASE_LOOKS } from './base';
import { COLORANT_FORMS } from './colorant';
import { FRAGRANCE_KINDS } from './fragrance';
import type { NewMaterial } from './material';
import type { newKindSchema } from './newKindSchema';
import { unknownAdditive, unknownBase, unknownColorant, unknownFragrance } from './unknownMaterial';

export type NewKind = z.infer<typeof newKindSchema>;
/** Of what is dosed. */
export type NewDosedKind = Exclude<NewKind, { kind: 'base' }>;

/** The kinds that are asked for where a name is not on the shelf; a syndet is asked for its look on the shelf. */
export const NEW_BASE_KINDS: readonly NewKind[] = [
  ...BASE_LOOKS.map((look) => ({ kind: 'base' as const, baseKind: 'soap' as const, look })),
  { kind: 'base', baseKind: 'syndet', look: 'white' },
];
export const NEW_DOSED_KINDS: readonly NewDosedKind[] = [
  ...FRAGRANCE_KINDS.map((fragranceKind) => ({ kind: 'fragrance' as const, fragranceKind })),
  ...COLORANT_FORMS.map((form) => ({ kind: 'colorant' as const, form })),
  ...ADDITIVE_ROLES.map((role) => ({ kind: 'additive' as const, role })),
];

/** A material of a kind, with a name; what is not its kind is not known. */
export function newOfKind(kind: NewKind, name: string): NewMaterial {
  switch (kind.kind) {
    case 'base':
      return { ...unknownBase(name, kind.look), baseKind: kind.baseKind };
    case 'fragrance':
      return unknownFragrance(name, kind.fragranceKind);
    case 'colorant':
      return unknownColorant(name, kind.form);
    case 'additive':
      return unknownAdditive(name, kind.role);
  }
}
