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

/** The last day a lot is good: of its date and what its pack says of it once opened; null where neither is known. */
export function goodTo({ bestBefore, openedOn, openedMonths }: Lot): string | null {
  const opened = openedOn !== null && openedMonths !== undefined ? monthsLater(openedOn, openedMonths) : null;
  return [bestBefore, opened].flatMap((day) => day ?? []).sort()[0] ?? null;
}

/** The same day of a later month; its last one where it is shorter. */
function monthsLater(day: string, months: number): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const last = new Date(Date.UTC(year, month + months, 0)).getUTCDate();
  return new Date(Date.UTC(year, month - 1 + months, Math.min(date, last))).toISOString().slice(0, 10);
}

/** A lot of which so much is left. */
export function lotStock(lot: Lot, left: number): LotStock {
  const { id, number, heldFor } = lot;
  const stock = { id, number, left, bestBefore: goodTo(lot), minorPerOne: minorPerOne(lot) };
  return heldFor === undefined ? stock : { ...stock, heldFor };
}
