import { z } from '../zod';
import { BATCH_FAULTS, BATCH_LIMITS_G } from './batch';

const [least, most] = BATCH_LIMITS_G;

/** How much is made, said by weight: pieces or fill follow from it. */
export const batchSchema = z.strictObject({
  /** All base of all pours, or all that is in the jugs. */
  by: z.enum(['base', 'jug']),
  massG: z.number().min(least).max(most),
  /** As it was typed. */
  text: z.string().max(80),
  /** What follows: so many pieces at the plan's fill, the last with what is left; or the fill of the plan's pieces. */
  gives: z.enum(['pieces', 'fill']),
});

/** What a sheet tells of it, with why it could not be kept to. */
export const sheetBatchSchema = batchSchema.extend({
  fault: z.enum(BATCH_FAULTS).nullable(),
  /** What it comes to instead. */
  comesToG: z.number().nonnegative(),
});
