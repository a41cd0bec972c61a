import { timesBounds } from '../core/cost/bounds';
import { plannedLines } from '../core/cost/cost';
import { type PackCost, type PackLine, packCostOf } from '../core/cost/pack';
import type { Product } from '../core/product/product';
import { orNull } from './broken';
import type { Workshop } from './openWorkshop';
import { pieceCost } from './pieceCosts';
import { soldParts } from './soldParts';

/**
 * What one pack of a product costs: its pieces at what their run really cost, or as planned from the lots of now, and its
 * packaging. Hands of what was never made are not known, where the house reckons them.
 *
 * @param runIds that were chosen; of a plan without one, its last finished run
 */
export function packCost(workshop: Workshop, product: Product, runIds: readonly string[]): PackCost {
  const { pricing, currency } = workshop.rules();
  const pieces = soldParts(workshop, product, runIds).map(
    (part): PackLine => ({
      ...{ name: part.planName, count: part.pieces, by: part.run ? 'run' : 'plan' },
      cost: timesBounds(pieceCost(workshop, part), part.pieces),
    }),
  );
  const packaging = plannedLines(
    product.packaging.map(({ materialId, count }) => ({
      materialId,
      name: orNull(() => workshop.materials.find(materialId))?.item.name ?? materialId,
      amount: count,
      isCounted: true,
    })),
    workshop.lots.stock(),
    () => 'packaging',
  ).map(({ name, amount, cost }): PackLine => ({ name, count: amount, by: 'shelf', cost }));
  return packCostOf([...pieces, ...packaging], product.prices, pricing, currency);
}
