import { cavityCount, piecesOf, roundFills } from '../molds/filled';
import type { Sheet } from '../plan/sheet';

type Filled = Pick<Sheet, 'fills' | 'mold' | 'secondMold'>;

/**
 * How many cavities a round fills, those of a second mold as so many of the first: all in every round but the last, which
 * fills what is left.
 */
export function fillsOfRound(sheet: Filled, round: number): number {
  const all = roundFills(sheet);
  return Math.max(0, Math.min(all, sheet.fills - round * all));
}

/** What of all that a sheet makes is in a round, or in all of them. */
export interface PartOfSheet {
  /** Of everything that is poured. */
  ofAll: number;
  /** Cavities of either mold; the last may be filled in part. */
  cavities: number;
}

export function partOfRound(sheet: Filled, round: number): PartOfSheet {
  const fills = fillsOfRound(sheet, round);
  return { ofAll: fills / sheet.fills, cavities: cavityCount(sheet, fills) };
}

export function wholeSheet(sheet: Filled): PartOfSheet {
  return { ofAll: 1, cavities: cavityCount(sheet, sheet.fills) };
}

/** Pieces of a round; a last one in part where its cavity is. */
export function piecesOfRound(sheet: Filled, round: number): number {
  return piecesOf(sheet, fillsOfRound(sheet, round));
}
