import { moneySchema } from '../units/moneySchema';
import { z } from '../zod';
import { stockItemSchema } from './stockItemSchema';

/** What came, or was packed, at one time of a stock item: what stands on its label and its receipt. */
export const lotSchema = z.strictObject({
  id: z.string().min(1).max(64),
  item: stockItemSchema,
  /** As on the pack. */
  number: z.string().trim().min(1).max(60),
  boughtOn: z.iso.date(),
  /** What was asked for it, in the workshop's currency; null when nobody knows. */
  price: moneySchema.nullable(),
  discountFraction: z.number().min(0).max(1),
  /** Its share of what sending it cost; left out where there was none, or it is in the price. */
  postage: moneySchema.optional(),
  /** What came: grams, or pieces of what is counted. */
  amount: z.number().positive().max(1e6),
  bestBefore: z.iso.date().nullable(),
  openedOn: z.iso.date().nullable(),
  /** How many months it is good after it was opened, as its pack says; left out where it says nothing of it. */
  openedMonths: z.int().min(1).max(120).optional(),
  /** What it is put aside for until it is released, such as its certificate; left out where it may be used. */
  heldFor: z.string().trim().min(1).max(200).optional(),
  /** Of finished goods: the runs that the pieces of each pack are of. */
  madeOf: z
    .array(z.strictObject({ runId: z.string().min(1).max(64), pieces: z.int().min(1).max(100) }))
    .min(1)
    .max(12)
    .optional(),
  note: z.string().max(2000),
});

export const newLotSchema = lotSchema.omit({ id: true });
