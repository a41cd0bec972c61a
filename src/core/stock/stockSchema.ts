import { moneySchema } from '../units/moneySchema';
import { z } from '../zod';
import { ENTRY_KINDS, ENTRY_OWNERS } from './stock';

export const stockEntrySchema = z.strictObject({
  id: z.string(),
  lotId: z.string(),
  at: z.iso.datetime(),
  kind: z.enum(ENTRY_KINDS),
  /** Grams or pieces that came; below zero, that went. */
  change: z.number(),
  /** What changed it; null for what was entered by hand. */
  owner: z
    .strictObject({
      kind: z.enum(ENTRY_OWNERS),
      id: z.string(),
      /** The task of a run that took it; left out where the run took it as a whole. */
      taskId: z.string().optional(),
    })
    .nullable(),
  /** Where it stands, of finished goods; left out where that is the workshop itself. */
  standsAt: z.string().min(1).max(60).optional(),
  /** What was paid for all packs that were sold, or paid back for those that came back; left out where it is not known. */
  paid: moneySchema.optional(),
  note: z.string().max(2000),
});
