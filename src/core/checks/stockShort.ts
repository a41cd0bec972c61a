import { needOf } from '../stock/need';
import { freeOf } from '../stock/stock';
import { exceeds } from './exceeds';
import type { Check, Found } from './finding';

/** Less on the shelf than the plan takes. */
export const stockShort: Check = (sheet, { shelf }) => {
  if (shelf === null) return [];
  return needOf(sheet).flatMap(({ materialId, name, amount, isCounted }): Found[] => {
    const lots = shelf.stock.get(materialId);
    const left = freeOf(lots ?? []);
    // What has never been bought here is not counted by the book: nothing can be said about it.
    if (lots === undefined || !exceeds(amount, left)) return [];
    return [
      {
        code: 'stock-short',
        severity: 'caution',
        pourIndex: null,
        doseIndexes: [],
        about: name,
        materialId,
        need: amount,
        left,
        isCounted,
        assumed: false,
        fix: null,
      },
    ];
  });
};
