import type { Lot } from '../stock/lot';
import type { StockEntry } from '../stock/stock';
import type { PacksThere } from './goods';

/** Packs that were packed at one time, with what became of them. */
export interface GoodsLot {
  lot: Lot;
  entries: StockEntry[];
  places: PacksThere[];
}

/** A finished batch that packs can be made of. */
export interface PackableRun {
  id: string;
  /** null for runs of before there were codes. */
  code: string | null;
  /** ISO 8601. */
  finishedAt: string;
  /** Good pieces that are in no pack. */
  free: number;
}

/** What goes into a pack, and the batches it can be of, the last finished first. */
export interface PackablePart {
  planId: string;
  planName: string;
  pieces: number;
  runs: PackableRun[];
}

/** The finished goods of a product, the last packed first. */
export interface Goods {
  lots: GoodsLot[];
  parts: PackablePart[];
  /** Where packs of any product stand or stood, besides the workshop itself. */
  places: string[];
}

/** Packs of one lot at one place. */
export interface PacksOfLot {
  productId: string;
  product: string;
  lot: Lot;
  packs: number;
}

/** How many packs a batch of each part makes; nothing where a part has none. */
export function mostPacks(parts: readonly { part: PackablePart; runId: string | null }[]): number {
  const packs = parts.map(({ part, runId }) => {
    const run = part.runs.find(({ id }) => id === runId);
    return run ? Math.floor(run.free / part.pieces) : 0;
  });
  return packs.length === 0 ? 0 : Math.min(...packs);
}

/** The batch whose pieces go first: the oldest that fills a pack; null where none does. */
export function firstOut({ runs, pieces }: PackablePart): string | null {
  return runs.findLast(({ free }) => free >= pieces)?.id ?? null;
}
