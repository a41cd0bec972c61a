import { NOTHING, sumOfBounds, timesBounds, UNKNOWN } from '../core/cost/bounds';
import { costOf, houseLines, partOf, plannedLines } from '../core/cost/cost';
import { type PackCost, type PackLine, packCostOf } from '../core/cost/pack';
import type { Sheet } from '../core/plan/sheet';
import type { Product } from '../core/product/product';
import { needOf } from '../core/stock/need';
import { orNull } from './broken';
import { runCost } from './costs';
import type { Workshop } from './openWorkshop';
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
    ({ planName: name, pieces: count, run, sheet }): PackLine => {
      const each = run ? runCost(workshop, run).real.perPiece : sheet && plannedEach(workshop, sheet);
      return { name, count, by: run ? 'run' : 'plan', cost: timesBounds(each ?? UNKNOWN, count) };
    },
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
  return packCostOf([...pieces, ...packaging], pricing, currency);
}

function plannedEach(workshop: Workshop, sheet: Sheet) {
  const rules = workshop.rules();
  const { perPiece } = costOf(
    [
      ...plannedLines(needOf(sheet), workshop.lots.stock(), (id) => partOf(sheet, id)),
      ...houseLines({ ...rules, handsPerHour: null }, 0),
    ],
    sheet.pieces,
  );
  return perPiece && sumOfBounds([perPiece, rules.handsPerHour === null ? NOTHING : UNKNOWN]);
}
