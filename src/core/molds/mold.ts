import { z } from '../zod';

const millimetres = z.number().min(1).max(2000);

/** The inside of one cavity. `capacity-only` has been measured by volume, and its shape is not known. */
export const shapeSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('box'),
    lengthMm: millimetres,
    widthMm: millimetres,
    depthMm: millimetres,
  }),
  z.strictObject({ kind: z.literal('cylinder'), diameterMm: millimetres, depthMm: millimetres }),
  z.strictObject({ kind: z.literal('hemisphere'), diameterMm: millimetres }),
  z.strictObject({ kind: z.literal('capacity-only') }),
]);

export const MEASURED_BY = ['water', 'base', 'one-piece', 'dimensions'] as const;

export const moldSchema = z.strictObject({
  id: z.string().min(1).max(64),
  name: z.string().trim().min(1).max(80),
  cavities: z.int().min(1).max(500),
  /** What one cavity holds to the brim. */
  capacityMl: z.number().min(0.5).max(50_000),
  measuredBy: z.enum(MEASURED_BY),
  shape: shapeSchema,
  /** How full it is usually poured. */
  usualFillFraction: z.number().min(0.05).max(1),
  note: z.string().max(2000),
});

/** A record that has no id yet. */
export const newMoldSchema = moldSchema.omit({ id: true });

export type Shape = z.infer<typeof shapeSchema>;
export type Mold = z.infer<typeof moldSchema>;
