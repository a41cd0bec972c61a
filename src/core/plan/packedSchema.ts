import { z } from '../zod';

/** So many of a packaging for so many pieces: one band a piece, one box for six. */
export const packedSchema = z.strictObject({
  /** Stays the same while the plan is edited. */
  id: z.string().min(1).max(64),
  materialId: z.string().min(1).max(64),
  count: z.int().min(1).max(100),
  forPieces: z.int().min(1).max(1000),
});

/** The same on a sheet, with its name. */
export const sheetPackedSchema = packedSchema.extend({ name: z.string() });
