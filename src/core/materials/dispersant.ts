import { z } from '../zod';
import { dosed } from './fields';

/** What a powder is wetted in before it goes into the jug. */
export const dispersantSchema = z.strictObject({
  ...dosed,
  kind: z.literal('dispersant'),
  /** Alcohol leaves the hot base again and is in no weight; glycerin stays and counts as a liquid. */
  leaves: z.boolean(),
});

export type Dispersant = z.infer<typeof dispersantSchema>;
