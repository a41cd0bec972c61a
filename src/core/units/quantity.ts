import { z } from '../zod';

/** What a typed quantity means. Masses in grams, volumes in millilitres, shares as fractions of one. */
export const quantitySchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('mass'), massG: z.number().nonnegative() }),
  z.strictObject({ kind: z.literal('volume'), volumeMl: z.number().nonnegative() }),
  z.strictObject({ kind: z.literal('drops'), drops: z.number().nonnegative() }),
  z.strictObject({ kind: z.literal('ofBase'), fractionOfBase: z.number().min(0).max(1) }),
]);

export type Quantity = z.infer<typeof quantitySchema>;
export type QuantityKind = Quantity['kind'];
