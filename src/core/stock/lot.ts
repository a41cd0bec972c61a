import { z } from '../zod';

/** One purchase of a material: what stands on its label and its receipt. */
export const lotSchema = z.strictObject({
  id: z.string().min(1).max(64),
  materialId: z.string().min(1).max(64),
  /** As on the pack. */
  number: z.string().trim().min(1).max(60),
  boughtOn: z.iso.date(),
  /** What was asked for it, in the workshop's currency; null when nobody knows. */
  price: z.number().min(0).max(1e6).nullable(),
  discountFraction: z.number().min(0).max(1),
  /** What came: grams, or pieces of what is counted. */
  amount: z.number().positive().max(1e6),
  bestBefore: z.iso.date().nullable(),
  openedOn: z.iso.date().nullable(),
  note: z.string().max(2000),
});

export const newLotSchema = lotSchema.omit({ id: true });

export type Lot = z.infer<typeof lotSchema>;
export type NewLot = z.infer<typeof newLotSchema>;

/** Price of one gram or piece after the discount; null when the price is not known. */
export function costPerOne({ price, discountFraction, amount }: Lot): number | null {
  return price === null ? null : (price * (1 - discountFraction)) / amount;
}
