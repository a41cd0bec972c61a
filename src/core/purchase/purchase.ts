import { sharesOf } from '../cost/shares';
import type { Lot } from '../stock/lot';
import { MINOR_DIGITS, minorUnitsOf, payableStep } from '../units/money';
import type { z } from '../zod';
import type { purchaseSchema, receiptSchema } from './purchaseSchema';

export type Purchase = z.infer<typeof purchaseSchema>;
export type PurchaseLine = Purchase['lines'][number];
export type Receipt = z.infer<typeof receiptSchema>;

/** How far a purchase has come. */
export type PurchaseState = 'list' | 'ordered' | 'partly-received' | 'received';

/** What came of a line, g or pieces. */
export function receivedOf({ materialId }: PurchaseLine, lots: readonly Lot[]): number {
  return lots.reduce((sum, lot) => sum + (lot.item.id === materialId ? lot.amount : 0), 0);
}

/** @param lots what came of it */
export function purchaseState({ orderedOn, lines }: Purchase, lots: readonly Lot[]): PurchaseState {
  if (lots.length > 0)
    return lines.every((line) => receivedOf(line, lots) >= line.amount * (1 - 1e-9))
      ? 'received'
      : 'partly-received';
  return orderedOn === null ? 'list' : 'ordered';
}

/**
 * What each lot carries of the postage: shared out over the lines by their prices, or alike where one is not known, then
 * over the lots of a line as they came. What has not come yet keeps its share.
 *
 * @param lots what came of it, in that order
 * @param currency of ISO 4217
 * @returns minor units by lot; all shares add up to the postage once every line has come
 */
export function postageOfLots(
  { lines, postage }: Purchase,
  lots: readonly Lot[],
  currency: string,
): ReadonlyMap<string, number> {
  const shares = new Map<string, number>();
  if (lines.length === 0) return shares;
  const step = payableStep(currency);
  const decimals = MINOR_DIGITS - Math.log10(step);
  const prices = lines.map(({ price }) => (price === null ? null : minorUnitsOf(price)));
  const isKnown = prices.every((price) => price !== null) && prices.some((price) => price > 0);
  const weights = isKnown ? prices.map((price) => price ?? 0) : lines.map(() => 1);
  const ofLines = sharesOf(minorUnitsOf(postage ?? '0'), weights, decimals);
  for (const [place, line] of lines.entries()) {
    const share = ofLines[place] ?? 0;
    let came = 0;
    let carried = 0;
    for (const { id, amount } of lots.filter(({ item }) => item.id === line.materialId)) {
      came += amount;
      const due = Math.floor((share * Math.min(1, (came / line.amount) * (1 + 1e-9))) / step) * step;
      shares.set(id, due - carried);
      carried = due;
    }
  }
  return shares;
}
