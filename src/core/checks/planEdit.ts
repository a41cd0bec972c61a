import { packedSchema } from '../plan/packedSchema';
import { wettingSchema } from '../plan/planSchema';
import { z } from '../zod';

/** A change to a plan that a finding offers. Pours and doses are named by their places in the plan as it was checked. */
export const planEditSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('set-dose'),
    pourIndex: z.int().nonnegative(),
    doseIndex: z.int().nonnegative(),
    text: z.string(),
  }),
  z.strictObject({
    kind: z.literal('remove-dose'),
    pourIndex: z.int().nonnegative(),
    doseIndex: z.int().nonnegative(),
  }),
  z.strictObject({
    kind: z.literal('add-dose'),
    pourIndex: z.int().nonnegative(),
    materialId: z.string(),
    text: z.string(),
    wetIn: wettingSchema.optional(),
    counts: z.literal('content').optional(),
  }),
  /** A powder that is wetted before it goes in. */
  z.strictObject({
    kind: z.literal('set-wetting'),
    pourIndex: z.int().nonnegative(),
    doseIndex: z.int().nonnegative(),
    wetIn: wettingSchema,
  }),
  z.strictObject({ kind: z.literal('set-base'), pourIndex: z.int().nonnegative(), baseId: z.string() }),
  /** Nothing is melted again in a pour. */
  z.strictObject({ kind: z.literal('fresh-base'), pourIndex: z.int().nonnegative() }),
  /** A pour's moment and its heat; null leaves one to the pour plan again. */
  z.strictObject({
    kind: z.literal('set-when'),
    pourIndex: z.int().nonnegative(),
    afterMin: z.number().nullable().optional(),
    atC: z.number().nullable().optional(),
  }),
  z.strictObject({ kind: z.literal('set-freezer'), freezerMin: z.number().positive().nullable() }),
  z.strictObject({ kind: z.literal('set-least-melt'), leastMeltG: z.number() }),
  z.strictObject({ kind: z.literal('set-jug-loss'), jugLossFraction: z.number() }),
  /** Its pieces are wrapped in this too. */
  z.strictObject({ kind: z.literal('add-packaging'), packed: packedSchema.omit({ id: true }) }),
  /** What follows from a batch that is said by weight; null says it as pieces and fill. */
  z.strictObject({ kind: z.literal('set-batch'), gives: z.enum(['pieces', 'fill']).nullable() }),
  /** The whole plan in another number; fixed doses grow along. */
  z.strictObject({ kind: z.literal('set-pieces'), pieces: z.int().positive() }),
]);

export type PlanEdit = z.infer<typeof planEditSchema>;
