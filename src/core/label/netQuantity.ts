import { G_PER_OZ } from '../units/factors';

/** What a pack holds, by weight. */
export interface NetQuantity {
  /** Whole grams, never more than there is. */
  g: number;
  /** Ounces to the hundredth, never more than there is. */
  oz: number;
}

/**
 * What may be said of a weight: rounded down, as nobody may get less.
 *
 * @param massG of the lightest piece, or of all pieces of a pack
 */
export function netQuantity(massG: number): NetQuantity {
  const heldG = massG + 1e-9;
  return { g: Math.floor(heldG), oz: Math.floor((heldG / G_PER_OZ) * 100) / 100 };
}
