import { z } from '../zod';
import { CUT_WAYS, CUTS_OF } from './cut';

const count = z.int().min(1).max(1_000_000);

/** What a round's blocks, or pieces of it, were cut into. */
export const cutSchema = z.strictObject({
  /** Chosen by whoever cuts, so that it can be named when it is taken back. */
  cutId: z.string().min(1).max(64),
  /** From 0. */
  round: z.int().nonnegative().max(100_000),
  of: z.enum(CUTS_OF),
  how: z.enum(CUT_WAYS),
  /** How many blocks or pieces were cut. */
  count,
  /** How many pieces that gave, all together. */
  into: count,
  /** Of some or all of these, in no order, g. */
  weightsG: z.array(z.number().positive().max(1e6)).max(500),
  /** What crumbled, stuck to the knife or was trimmed and thrown away, g. */
  lossG: z.number().min(0).max(1e6),
});
