import type { z } from '../zod';
import type { stockEntrySchema } from './stockSchema';

/** What becomes of finished goods. */
/** Of these, what money is paid for, or paid back for. */
export const PAID_USES = ['sold', 'returned'] as const;
export const GOODS_USES = ['sold', 'given', 'sampled', 'kept-back', 'damaged', 'returned'] as const;

/** Why stock changed. Entries are only ever added; what was wrong is put right by a correction. */
export const ENTRY_KINDS = ['bought', 'used', 'correction', 'count', 'made', 'moved', ...GOODS_USES] as const;

/** What an entry may belong to. What becomes of finished goods at one time is one act, whose entries name it. */
export const ENTRY_OWNERS = ['run', 'order', 'count', 'purchase', 'act'] as const;

export type GoodsUse = (typeof GOODS_USES)[number];

export type StockEntry = z.infer<typeof stockEntrySchema>;

export type EntryOwner = NonNullable<StockEntry['owner']>;

/** What is left of a lot. Amounts in grams, or pieces of what is counted. */
export interface LotStock {
  id: string;
  number: string;
  left: number;
  /** The last day it is good, also by when it was opened. */
  bestBefore: string | null;
  /** Price of one gram or piece in minor units; null when it is not known. */
  minorPerOne: number | null;
  /** What it is put aside for until it is released; left out where it may be used. */
  heldFor?: string;
}

/** Stock is the sum of its entries, and nothing else. */
export function sumOfEntries(entries: readonly Pick<StockEntry, 'change'>[]): number {
  return entries.reduce((sum, { change }) => sum + change, 0);
}

export function leftOf(lots: readonly LotStock[]): number {
  return lots.reduce((sum, { left }) => sum + left, 0);
}

/** What is left of those that may be used. */
export function freeOf(lots: readonly LotStock[]): number {
  return leftOf(lots.filter(({ heldFor }) => heldFor === undefined));
}

/**
 * First expired first; a lot without a date comes after those with one, in the order it was bought, and what is put aside
 * last of all.
 */
export function firstExpiredFirst(lots: readonly LotStock[]): LotStock[] {
  const held = ({ heldFor }: LotStock) => Number(heldFor !== undefined);
  return [...lots].sort(
    (a, b) => held(a) - held(b) || (a.bestBefore ?? '9999').localeCompare(b.bestBefore ?? '9999'),
  );
}

/** What one lot gives to a use. */
export interface Taking {
  lotId: string;
  amount: number;
}

/**
 * Shares a use out over lots: the chosen one first, then the first to expire. What no lot has by the book was there
 * all the same, so the last lot that is taken from gives it and is short by `beyondBook`.
 *
 * @param lots in the order they were bought
 * @param amount grams or pieces that were used
 * @param chosenId the lot that stood on the bench
 * @returns takings that add up to `amount`; none when there are no lots
 */
export function takeFromLots(
  lots: readonly LotStock[],
  amount: number,
  chosenId?: string,
): { takings: Taking[]; beyondBook: Taking | null } {
  const chosen = lots.filter(({ id }) => id === chosenId);
  const order = [...chosen, ...firstExpiredFirst(lots.filter(({ id }) => id !== chosenId))];
  const takings: Taking[] = [];
  let open = amount;
  for (const lot of order) {
    const taken = Math.min(open, lot.left);
    if (!(taken > 0)) continue;
    takings.push({ lotId: lot.id, amount: taken });
    open -= taken;
  }
  const last = takings.at(-1) ?? (order[0] && { lotId: order[0].id, amount: 0 });
  if (!(open > amount * 1e-12) || last === undefined) return { takings, beyondBook: null };
  return {
    takings: [...takings.filter((each) => each !== last), { ...last, amount: last.amount + open }],
    beyondBook: { lotId: last.lotId, amount: open },
  };
}
