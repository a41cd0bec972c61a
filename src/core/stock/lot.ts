import { minorUnitsOf } from '../units/money';
import type { z } from '../zod';
import type { lotSchema, newLotSchema } from './lotSchema';

export type Lot = z.infer<typeof lotSchema>;
export type NewLot = z.infer<typeof newLotSchema>;

/** Price of one gram or piece after the discount, in minor units; null when the price is not known. */
export function minorPerOne({ price, discountFraction, amount }: Lot): number | null {
  return price === null ? null : (minorUnitsOf(price) * (1 - discountFraction)) / amount;
}
