import { showDay } from '../showTime';
import { needOf } from '../stock/need';
import { takeFromLots } from '../stock/stock';
import type { Check, Finding } from './finding';

/** A lot that would be used is past its date. */
export const lotPastDate: Check = {
  code: 'lot-past-date',

  run: (sheet, { shelf }) => {
    if (shelf === null) return [];
    return needOf(sheet).flatMap(({ materialId, name, amount }): Finding[] => {
      const lots = shelf.stock.get(materialId) ?? [];
      const { takings } = takeFromLots(lots, amount);
      return lots
        .filter(
          ({ id, bestBefore }) =>
            isPast(bestBefore, shelf.today) && takings.some(({ lotId }) => lotId === id),
        )
        .map(({ number, bestBefore }) => ({
          code: lotPastDate.code,
          severity: 'caution',
          pourIndex: null,
          doseIndexes: [],
          about: `${name}, lot ${number}`,
          materialId,
          text: bestBefore ?? '',
          figures: {},
          assumed: false,
          mend: null,
        }));
    });
  },

  say: ({ about, text = '' }, { locale }) => ({
    title: `${about}: past its date`,
    reason: `Best before ${showDay(text, locale)}. Smell it and look at it, or open a newer lot.`,
    mendLabel: null,
  }),
};

function isPast(bestBefore: string | null, today: string): boolean {
  return bestBefore !== null && bestBefore < today;
}
