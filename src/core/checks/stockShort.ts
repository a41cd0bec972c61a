import { needOf } from '../stock/need';
import { leftOf } from '../stock/stock';
import { showAmount } from '../units/showQuantity';
import { exceeds } from './exceeds';
import type { Check, Finding } from './finding';

/** Less on the shelf than the plan takes. */
export const stockShort: Check = {
  code: 'stock-short',

  run: (sheet, { shelf }) => {
    if (shelf === null) return [];
    return needOf(sheet).flatMap(({ materialId, name, amount, isCounted }): Finding[] => {
      const lots = shelf.stock.get(materialId);
      const left = leftOf(lots ?? []);
      // What has never been bought here is not counted by the book: nothing can be said about it.
      if (lots === undefined || !exceeds(amount, left)) return [];
      return [
        {
          code: stockShort.code,
          severity: 'caution',
          pourIndex: null,
          doseIndexes: [],
          about: name,
          materialId,
          figures: { need: amount, left, counted: isCounted ? 1 : 0 },
          assumed: false,
          mend: null,
        },
      ];
    });
  },

  say({ about, figures: { need = 0, left = 0, counted = 0 } }, showing) {
    const show = (amount: number) => showAmount(amount, counted === 1, showing);
    return {
      title: `${about}: ${show(need - left)} short`,
      reason: `This takes ${show(need)}, and ${show(Math.max(0, left))} is on the shelf.`,
      mendLabel: null,
    };
  },
};
