import { minorUnitsOf } from '../units/money';
import type { z } from '../zod';
import type { lotSchema, newLotSchema } from './lotSchema';
import type { LotStock } from './stock';

export type Lot = z.infer<typeof lotSchema>;
export type NewLot = z.infer<typeof newLotSchema>;

/** Price of one gram or piece after the discount, with its postage, in minor units; null when the price is not known. */
export function minorPerOne({ price, discountFraction, postage, amount }: Lot): number | null {
  if (price === null) return null;
  return (minorUnitsOf(price) * (1 - discountFraction) + minorUnitsOf(postage ?? '0')) / amount;
}

/** A lot of which so much is left. */
export function lotStock(lot: Lot, left: number): LotStock {
  const { id, number, bestBefore, heldFor } = lot;
  const stock = { id, number, left, bestBefore, minorPerOne: minorPerOne(lot) };
  return heldFor === undefined ? stock : { ...stock, heldFor };
}
