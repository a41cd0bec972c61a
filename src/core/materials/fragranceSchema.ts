import { z } from '../zod';
import { unknownOr } from './fields';
import { dosed, fraction, nameText } from './fieldsSchema';
import { FRAGRANCE_KINDS } from './fragrance';

/** A named allergen and its share of the material's weight. */
export const allergenSchema = z.strictObject({
  name: nameText(80),
  ofMaterial: fraction,
});

export const fragranceSchema = z.strictObject({
  ...dosed,
  kind: z.literal('fragrance'),
  fragranceKind: z.enum(FRAGRANCE_KINDS),
  /** Vanillin browns the soap; zero says that none is in it. */
  vanillinOfMaterial: unknownOr(fraction),
  allergens: unknownOr(z.array(allergenSchema).max(100)),
});
