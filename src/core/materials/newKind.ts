import { z } from '../zod';
import { ADDITIVE_ROLES } from './additive';
import { BASE_LOOKS } from './base';
import { COLORANT_FORMS } from './colorant';
import { FRAGRANCE_KINDS } from './fragrance';
import type { NewMaterial } from './material';
import { unknownAdditive, unknownBase, unknownColorant, unknownFragrance } from './unknownMaterial';

/** What a material is of which nothing else is known yet. */
export const newKindSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('base'), look: z.enum(BASE_LOOKS) }),
  z.strictObject({ kind: z.literal('fragrance'), fragranceKind: z.enum(FRAGRANCE_KINDS) }),
  z.strictObject({ kind: z.literal('colorant'), form: z.enum(COLORANT_FORMS) }),
  z.strictObject({ kind: z.literal('additive'), role: z.enum(ADDITIVE_ROLES) }),
]);

export type NewKind = z.infer<typeof newKindSchema>;

/** A material of a kind, with a name. */
export function newOfKind(kind: NewKind, name: string): NewMaterial {
  switch (kind.kind) {
    case 'base':
      return unknownBase(name, kind.look);
    case 'fragrance':
      return unknownFragrance(name, kind.fragranceKind);
    case 'colorant':
      return unknownColorant(name, kind.form);
    case 'additive':
      return unknownAdditive(name, kind.role);
  }
}
