import type { PackCost } from '../core/cost/pack';
import type { WholeLabel } from '../core/label/labelFaults';
import type { Product } from '../core/product/product';
import { labelOf } from './labels';
import type { Workshop } from './openWorkshop';
import { packCost } from './packCosts';

/**
 * What the page of a product opens with, so that nothing on it moves once it is there. What can't be worked out is
 * null: the page asks for it by itself, and tells why it fails.
 *
 * @param runIds that were chosen; of a plan without one, its last finished run
 */
export async function productStart(
  workshop: Workshop,
  product: Product,
  runIds: readonly string[],
  locale: string,
): Promise<{ label: WholeLabel | null; cost: PackCost | null }> {
  const label = await labelOf(workshop, product, runIds, locale).catch(() => null);
  return { label, cost: costOrNull(workshop, product, runIds) };
}

function costOrNull(workshop: Workshop, product: Product, runIds: readonly string[]): PackCost | null {
  try {
    return packCost(workshop, product, runIds);
  } catch {
    return null;
  }
}
