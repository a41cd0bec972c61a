import { spotSchema } from '../files/photoSchema';
import { z } from '../zod';
import { FAULTS } from './faults';

const count = z.int().min(0).max(1_000_000);

/** A fault that was seen: in which pours, and in how many pieces; null where nobody counted. */
export const faultSeenSchema = z.strictObject({
  fault: z.enum(FAULTS),
  pourIndexes: z.array(z.int().nonnegative().max(25)).max(26),
  pieces: count.nullable(),
  /** Where on the piece; left out where nobody marked it. */
  spots: z.array(spotSchema).min(1).max(20).optional(),
});

/** What an inspection of one round says. */
export const inspectionSchema = z.strictObject({
  /** Chosen by whoever inspects, so that it can be named when it is withdrawn. */
  inspectionId: z.string().min(1).max(64),
  /** From 0. */
  round: z.int().nonnegative().max(100_000),
  pieces: z.strictObject({ good: count, second: count, scrap: count, remelt: count }),
  faults: z.array(faultSeenSchema).max(60),
  /** Of some or all pieces, in no order, g. */
  weightsG: z.array(z.number().positive().max(1e6)).max(500),
  note: z.string().max(4000),
  /** It is looked at again after so many days; null where it is not. */
  againAfterDays: z.int().min(1).max(400).nullable(),
});
