import { wholePiecesOf } from '../molds/filled';
import type { Sheet } from '../plan/sheet';
import { type Need, needOf } from './need';
import { freeOf, type LotStock } from './stock';

/** Lots by the id of their material, which may be any text; one that is missing has never been bought. */
export type StockByMaterial = ReadonlyMap<string, readonly LotStock[]>;

/** What the shelf makes of a plan, and what nobody knows of. */
export interface FromShelf {
  /** Whole pieces; Infinity when the book counts nothing of it. */
  pieces: number;
  /** How often all that the plan makes; Infinity likewise. */
  batches: number;
  /** The name of what runs out first; null when the book counts nothing of it. */
  shortOf: string | null;
  /** Names of what was never bought by the book, and does not limit for that. */
  notCounted: string[];
}

/** How many pieces the shelf makes, fixed doses growing along with them. */
export function piecesFromShelf(sheet: Sheet, stock: StockByMaterial): FromShelf {
  const made: FromShelf = {
    pieces: Number.POSITIVE_INFINITY,
    batches: Number.POSITIVE_INFINITY,
    shortOf: null,
    notCounted: [],
  };
  for (const { materialId, name, amount, isMade } of needOf(sheet)) {
    const lots = stock.get(materialId);
    if (lots === undefined) {
      if (!isMade) made.notCounted.push(name);
      continue;
    }
    const batches = (Math.max(0, freeOf(lots)) / amount) * (1 + 1e-12);
    if (batches < made.batches) {
      made.batches = batches;
      made.pieces = wholePiecesOf(sheet, batches * sheet.fills);
      made.shortOf = name;
    }
  }
  return made;
}

/** A material with what some work needs of it and what is there. */
export interface Shortage extends Need {
  left: number;
  buy: number;
}

/**
 * What has to be bought for all of these together. A material that was never bought counts as nothing there.
 *
 * @param needs several works' needs, one after the other
 * @returns everything that is needed, what is short first
 */
export function buyList(needs: readonly Need[], stock: StockByMaterial): Shortage[] {
  const sums = new Map<string, Need>();
  for (const need of needs) {
    // What a plan makes is made before, and not bought.
    if (need.isMade) continue;
    const amount = (sums.get(need.materialId)?.amount ?? 0) + need.amount;
    sums.set(need.materialId, { ...need, amount });
  }
  return [...sums.values()]
    .map((need) => {
      const left = Math.max(0, freeOf(stock.get(need.materialId) ?? []));
      return { ...need, left, buy: Math.max(0, need.amount - left) };
    })
    .sort((a, b) => b.buy - a.buy || a.name.localeCompare(b.name));
}
