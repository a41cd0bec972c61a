import type { Pricing } from '../houseRules/pricing';
import type { Product } from '../product/product';
import { minorUnitsOf } from '../units/money';
import { type Bounds, certainMinor, sumOfBounds } from './bounds';
import { type Price, type Prices, priceAt, pricesOf } from './price';

/** What is in a pack, or what it is packed in. */
export interface PackLine {
  name: string;
  /** Pieces of it in one pack. */
  count: number;
  /** By a run that was made, by a plan, or by what lots of the shelf cost. */
  by: 'run' | 'plan' | 'shelf';
  /** All of them. */
  cost: Bounds;
}

/** What one pack costs, and what it sells for. */
export interface PackCost {
  lines: PackLine[];
  total: Bounds;
  /** null where the cost is not certain, or margin and fees leave nothing to pay it from. */
  prices: Pick<Prices, 'retail' | 'wholesale'> | null;
  /** What stays of the product's own prices; null where it has none, or the cost is not certain. */
  listed: { retail: Price | null; wholesale: Price | null };
}

export function packCostOf(
  lines: PackLine[],
  listed: Product['prices'],
  pricing: Pricing,
  currency: string,
): PackCost {
  const total = sumOfBounds(lines.map(({ cost }) => cost));
  const minor = certainMinor(total);
  const at = (text: string | null, fee: number) =>
    text === null || minor === null ? null : priceAt(minorUnitsOf(text), minor, { tax: pricing.tax, fee });
  return {
    lines,
    total,
    prices: minor === null ? null : pricesOf(minor, 1, pricing, currency),
    listed: { retail: at(listed.retail, pricing.fee), wholesale: at(listed.wholesale, 0) },
  };
}
