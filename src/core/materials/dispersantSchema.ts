import { z } from '../zod';
import { dosed } from './fieldsSchema';

/** What a powder is wetted in before it goes into the jug. */
export const dispersantSchema = z.strictObject({
  ...dosed,
  kind: z.literal('dispersant'),
  /** Alcohol leaves the hot base again and is in no weight; glycerin stays and counts as a liquid. */
  leaves: z.boolean(),
});
