import { z } from '../zod';
import { READING_KINDS } from './reading';

/** One weighing of a known count; for a spoon, the count is its millilitres. */
export const readingSchema = z.strictObject({
  of: z.enum(READING_KINDS),
  on: z.iso.date(),
  count: z.number().min(0.01).max(10_000),
  massG: z.number().min(0.001).max(100_000),
  /** The run in which it was counted and weighed; left out where it was typed. */
  runId: z.string().min(1).max(64).optional(),
});
