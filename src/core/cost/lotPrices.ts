import type { LotStock } from '../stock/stock';
import { type Bounds, exactly, UNKNOWN } from './bounds';

/**
 * What one gram or piece of a lot costs. A lot without a price lies between the cheapest and the dearest of its material; where
 * none has one, nothing is known.
 *
 * @param lots all of its material
 */
export function pricePerOne(lotId: string, lots: readonly LotStock[]): Bounds {
  const own = lots.find(({ id }) => id === lotId)?.minorPerOne ?? null;
  if (own !== null) return exactly(own);
  const known = lots.flatMap(({ minorPerOne }) => minorPerOne ?? []);
  if (known.length === 0) return UNKNOWN;
  return { leastMinor: Math.min(...known), mostMinor: Math.max(...known) };
}

/**
 * What one gram or piece of a material costs on the shelf: the mean of its lots by what is left of them, or by the last that
 * had a price where nothing is left; null where none has one.
 */
export function meanPerOne(lots: readonly Pick<LotStock, 'left' | 'minorPerOne'>[]): number | null {
  let [sum, left] = [0, 0];
  for (const lot of lots) {
    if (lot.minorPerOne === null || !(lot.left > 0)) continue;
    sum += lot.minorPerOne * lot.left;
    left += lot.left;
  }
  if (left > 0) return sum / left;
  return lots.findLast(({ minorPerOne }) => minorPerOne !== null)?.minorPerOne ?? null;
}
