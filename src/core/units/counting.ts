import { ML_PER_PINCH, ML_PER_US_CUP, ML_PER_US_TBSP, ML_PER_US_TSP } from './factors';
import type { Counted, SingleQuantity } from './quantity';

/** What is counted out rather than weighed. Spoons are told apart by the size of what they measure. */
export const COUNT_UNITS = ['drops', 'blocks', 'scoops', 'capsules', 'spoons', 'millilitres'] as const;

export type CountUnit = (typeof COUNT_UNITS)[number];

/** How a dose is counted out: grams in a drop, a block, a scoop, a capsule, or a millilitre of spoons. */
export interface CountedOut {
  unit: CountUnit;
  gPerOne: number;
}

/** One unit that somebody counts in, with the finest part of it that can be told. */
export interface CountedIn {
  unit: Exclude<CountUnit, 'spoons' | 'millilitres'> | 'pinch' | 'tsp' | 'tbsp' | 'cup' | 'mL';
  gPerOne: number;
  /** Counts are whole multiples of one over so many. */
  parts: number;
}

const SPOON = /tsp|tbs|tbl|spoon|cup|pinch|\b[tTcC]\b|\b[ET]L\b/;

/** The unit of an amount that was typed; null for a weight. Spoons and millilitres are told apart by the words. */
export function countUnitOf(means: SingleQuantity, text: string): CountUnit | null {
  switch (means.kind) {
    case 'perPiece':
    case 'perBase':
      return unitOfAmount(means.amount, text);
    case 'volumePerBase':
      return unitOfAmount({ kind: 'volume', volumeMl: 1 }, text);
    case 'dropsPerBase':
      return 'drops';
    case 'blocksPerBase':
      return 'blocks';
    case 'ofBase':
    case 'times':
      return null;
    default:
      return unitOfAmount(means, text);
  }
}

function unitOfAmount({ kind }: Counted, text: string): CountUnit | null {
  if (kind === 'mass') return null;
  if (kind === 'volume') return SPOON.test(text) ? 'spoons' : 'millilitres';
  return kind;
}

/** What is counted comes in whole drops and capsules, half scoops, eighths of a block. Our own assumption. */
export const PARTS_OF_ONE = { drops: 1, capsules: 1, scoops: 2, blocks: 8 } as const;

/** The unit that so much is counted in: the largest spoon that it fills to a quarter at least. */
export function countedIn({ unit, gPerOne }: CountedOut, massG: number): CountedIn {
  if (unit === 'millilitres') return { unit: 'mL', gPerOne, parts: massG / gPerOne < 10 ? 10 : 2 };
  if (unit !== 'spoons') return { unit, gPerOne, parts: PARTS_OF_ONE[unit] };
  const volumeMl = massG / gPerOne;
  if (volumeMl >= ML_PER_US_CUP / 4 - 1e-9)
    return { unit: 'cup', gPerOne: gPerOne * ML_PER_US_CUP, parts: 8 };
  if (volumeMl >= ML_PER_US_TBSP - 1e-9) return { unit: 'tbsp', gPerOne: gPerOne * ML_PER_US_TBSP, parts: 4 };
  // Nearer to a pinch than to an eighth of a teaspoon.
  if (volumeMl < (ML_PER_PINCH + ML_PER_US_TSP / 8) / 2)
    return { unit: 'pinch', gPerOne: gPerOne * ML_PER_PINCH, parts: 1 };
  return { unit: 'tsp', gPerOne: gPerOne * ML_PER_US_TSP, parts: 8 };
}

/** What can be counted out for a weight: whole multiples of the finest part, and never nothing for something. */
export function countFor(massG: number, { gPerOne, parts }: CountedIn): number {
  if (!(massG > 0)) return 0;
  return Math.max(1, Math.round((massG / gPerOne) * parts)) / parts;
}
