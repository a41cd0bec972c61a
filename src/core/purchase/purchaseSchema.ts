import { moneySchema } from '../units/moneySchema';
import { z } from '../zod';

const id = z.string().min(1).max(64);

/** What is ordered of a supplier at one time. */
export const purchaseSchema = z.strictObject({
  id,
  /** The supplier. */
  name: z.string().trim().min(1).max(120),
  /** null while it is only a list. */
  orderedOn: z.iso.date().nullable(),
  /** What sending all of it costs; null where that is nothing, or not known yet. */
  postage: moneySchema.nullable(),
  lines: z
    .array(
      z.strictObject({
        materialId: id,
        /** Grams, or pieces of what is counted. */
        amount: z.number().positive().max(1e6),
        /** Of all of the line; null when it is not known. */
        price: moneySchema.nullable(),
      }),
    )
    .max(60)
    .refine((lines) => new Set(lines.map(({ materialId }) => materialId)).size === lines.length, {
      message: 'materials-once',
    }),
  note: z.string().max(2000),
});

export const newPurchaseSchema = purchaseSchema.omit({ id: true });

/** What came of one line, as it stands on the pack. */
export const receiptSchema = z.strictObject({
  /** Chosen by whoever sends it, so that what is sent twice came once. */
  lotId: z.uuid(),
  materialId: id,
  receivedOn: z.iso.date(),
  number: z.string().trim().min(1).max(60),
  amount: z.number().positive().max(1e6),
  price: moneySchema.nullable(),
  bestBefore: z.iso.date().nullable(),
  /** What it is put aside for; null where it may be used at once. */
  heldFor: z.string().trim().min(1).max(200).nullable(),
});
