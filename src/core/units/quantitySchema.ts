import { z } from '../zod';

const amount = z.number().nonnegative();
/** Said with “about”: what is weighed may differ a little. */
const approximate = z.literal(true).optional();

/** What can be counted out or weighed by itself. */
const countedSchemas = [
  z.strictObject({ kind: z.literal('mass'), massG: amount, approximate }),
  z.strictObject({ kind: z.literal('volume'), volumeMl: amount }),
  z.strictObject({ kind: z.literal('drops'), drops: amount }),
  z.strictObject({ kind: z.literal('blocks'), blocks: amount }),
  /** Of a scoop of one's own, that was weighed full. */
  z.strictObject({ kind: z.literal('scoops'), scoops: amount }),
  z.strictObject({ kind: z.literal('capsules'), capsules: amount }),
] as const;

export const countedSchema = z.discriminatedUnion('kind', countedSchemas);

/** What comes to one figure. */
const singleSchemas = [
  ...countedSchemas,
  z.strictObject({ kind: z.literal('ofBase'), fractionOfBase: z.number().min(0).max(1), approximate }),
  /** `½ tsp/lb`: millilitres for each gram of base. */
  z.strictObject({ kind: z.literal('volumePerBase'), mlPerBaseG: amount }),
  z.strictObject({ kind: z.literal('dropsPerBase'), dropsPerBaseG: amount }),
  z.strictObject({ kind: z.literal('blocksPerBase'), blocksPerBaseG: amount }),
  /** `1 scoop/lb`: so much for each gram of base. */
  z.strictObject({ kind: z.literal('perBase'), amount: countedSchema }),
  /** `6 drops/piece`. */
  z.strictObject({ kind: z.literal('perPiece'), amount: countedSchema }),
  /** `= fragrance`, `2x honey`: so many times the weight of another dose of the same pour. */
  z.strictObject({ kind: z.literal('times'), factor: amount, of: z.string().min(1).max(80) }),
] as const;

export const singleSchema = z.discriminatedUnion('kind', singleSchemas);

/** What a typed quantity means. Masses in grams, volumes in millilitres, shares as fractions of one. */
export const quantitySchema = z.discriminatedUnion('kind', [
  ...singleSchemas,
  /** `6–9 drops`: it begins with the least and ends with the most at the latest. Both are of one kind. */
  z.strictObject({ kind: z.literal('range'), least: singleSchema, most: singleSchema }),
  /** It begins with the least that is usual of the material, and is dosed by eye. */
  z.strictObject({ kind: z.literal('toTaste') }),
]);
