import { taughtSchema } from '../heat/taughtSchema';
import { z } from '../zod';

/** A jug of the workshop, and what it takes to its brim. Two of one name are two jugs. */
export const jugSchema = z.strictObject({
  id: z.string().min(1).max(64),
  name: z.string().trim().min(1).max(60),
  holdsMl: z.number().min(20).max(100_000),
  /** How readily it loses heat, as it was taught, the newest last. */
  taught: z.array(taughtSchema).max(20).default([]),
});

export const newJugSchema = jugSchema.omit({ id: true });
