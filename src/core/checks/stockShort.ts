import { needOf } from '../stock/need';
import { leftOf } from '../stock/stock';
import { showMass } from '../units/showQuantity';
import { exceeds } from './exceeds';
import type { Check, Finding } from './finding';

/** Less on the shelf than the plan takes. */
export const stockShort: Check = {
  code: 'stock-short',

  run: (sheet, { shelf }) => {
    if (shelf === null) return [];
    return needOf(sheet).flatMap(({ materialId, name, massG }): Finding[] => {
      const lots = shelf.stock[materialId];
      const left = leftOf(lots ?? []);
      // What has never been bought here is not counted by the book: nothing can be said about it.
      if (lots === undefined || !exceeds(massG, left)) return [];
      return [
        {
          code: stockShort.code,
          severity: 'caution',
          pourIndex: null,
          doseIndexes: [],
          about: name,
          materialId,
          figures: { needG: massG, leftG: left },
          assumed: false,
          mend: null,
        },
      ];
    });
  },

  say: ({ about, figures: { needG = 0, leftG = 0 } }, showing) => ({
    title: `${about}: ${showMass(needG - leftG, showing)} short`,
    reason: `This takes ${showMass(needG, showing)}, and ${showMass(Math.max(0, leftG), showing)} is on the shelf.`,
    mendLabel: null,
  }),
};
