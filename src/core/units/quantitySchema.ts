import { z } from '../zod';

const amount = z.number().nonnegative();

/** What can be counted out or weighed by itself. */
const countedSchemas = [
  z.strictObject({ kind: z.literal('mass'), massG: amount }),
  z.strictObject({ kind: z.literal('volume'), volumeMl: amount }),
  z.strictObject({ kind: z.literal('drops'), drops: amount }),
  z.strictObject({ kind: z.literal('blocks'), blocks: amount }),
] as const;

export const countedSchema = z.discriminatedUnion('kind', countedSchemas);

/** What a typed quantity means. Masses in grams, volumes in millilitres, shares as fractions of one. */
export const quantitySchema = z.discriminatedUnion('kind', [
  ...countedSchemas,
  z.strictObject({ kind: z.literal('ofBase'), fractionOfBase: z.number().min(0).max(1) }),
  /** `½ tsp/lb`: millilitres for each gram of base. */
  z.strictObject({ kind: z.literal('volumePerBase'), mlPerBaseG: amount }),
  z.strictObject({ kind: z.literal('dropsPerBase'), dropsPerBaseG: amount }),
  z.strictObject({ kind: z.literal('blocksPerBase'), blocksPerBaseG: amount }),
  /** `6 drops/piece`. */
  z.strictObject({ kind: z.literal('perPiece'), amount: countedSchema }),
  /** `= fragrance`, `2x honey`: so many times the weight of another dose of the same pour. */
  z.strictObject({ kind: z.literal('times'), factor: amount, of: z.string().min(1).max(80) }),
]);
