import { nameText } from '../materials/fieldsSchema';
import { z } from '../zod';
import { ASIDE_OF, WASTE_REASONS } from './aside';

/** Where something goes: melted again from a jar, kept to be set in, kept as a sample, or thrown away. */
const asideToSchema = z.discriminatedUnion('is', [
  z.strictObject({ is: z.literal('jar'), name: nameText(80) }),
  z.strictObject({ is: z.literal('pieces') }),
  z.strictObject({ is: z.literal('sample'), place: z.string().trim().min(1).max(200) }),
  z.strictObject({ is: z.literal('waste'), reason: z.enum(WASTE_REASONS) }),
]);

/** What of a run is set aside, and where it goes. */
export const asideSchema = z.strictObject({
  /** Chosen by whoever sets it aside, so that it can be named when it is taken back. */
  asideId: z.string().min(1).max(64),
  /** From 0; null where it is of no round by itself. */
  round: z.int().nonnegative().max(100_000).nullable(),
  of: z.enum(ASIDE_OF),
  /** Pours that it is of; none where it is of all of them. */
  pourIndexes: z.array(z.int().nonnegative().max(25)).max(26),
  massG: z.number().positive().max(1e6),
  /** How many pieces, where they are. */
  pieces: z.int().min(1).max(1_000_000).nullable(),
  to: asideToSchema,
});
