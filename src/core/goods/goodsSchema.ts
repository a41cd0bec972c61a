import { GOODS_USES, PAID_USES } from '../stock/stock';
import { moneySchema } from '../units/moneySchema';
import { z } from '../zod';

const packs = z.int().min(1).max(100_000);
/** Where packs stand; null for the workshop itself. */
const place = z.string().trim().min(1).max(60).nullable();
const note = z.string().trim().max(2000);

/** Packs of a product that were packed at one time. */
export const packingSchema = z.strictObject({
  /** Chosen by whoever sends it, so that what is sent twice was packed once. */
  lotId: z.uuid(),
  packs,
  /** The batches that their pieces are of: one for each plan of the product. */
  runIds: z.array(z.string().min(1).max(64)).min(1).max(12),
  packedOn: z.iso.date(),
});

/** What became of packs. */
export const goodsEditSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.enum(PAID_USES),
    packs,
    place,
    note,
    /** For all of them; left out where it is not known. */
    paid: moneySchema.optional(),
  }),
  z.strictObject({ kind: z.enum(GOODS_USES).exclude(PAID_USES), packs, place, note }),
  z.strictObject({ kind: z.literal('moved'), packs, from: place, to: place, note }),
]);
