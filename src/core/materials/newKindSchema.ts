import { z } from '../zod';
import { ADDITIVE_ROLES } from './additive';
import { BASE_KINDS, BASE_LOOKS } from './base';
import { COLORANT_FORMS } from './colorant';
import { FRAGRANCE_KINDS } from './fragrance';

/** What a material is of which nothing else is known yet. */
export const newKindSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('base'), baseKind: z.enum(BASE_KINDS), look: z.enum(BASE_LOOKS) }),
  z.strictObject({ kind: z.literal('fragrance'), fragranceKind: z.enum(FRAGRANCE_KINDS) }),
  z.strictObject({ kind: z.literal('colorant'), form: z.enum(COLORANT_FORMS) }),
  z.strictObject({ kind: z.literal('additive'), role: z.enum(ADDITIVE_ROLES) }),
]);
