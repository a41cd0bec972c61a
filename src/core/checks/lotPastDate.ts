import { needOf } from '../stock/need';
import { takeFromLots } from '../stock/stock';
import type { Check, Found } from './finding';

/** A lot that would be used is past its date. */
export const lotPastDate: Check = (sheet, { shelf }) => {
  if (shelf === null) return [];
  return needOf(sheet).flatMap(({ materialId, name, amount }): Found[] => {
    const lots = shelf.stock.get(materialId) ?? [];
    const { takings } = takeFromLots(lots, amount);
    return lots
      .filter(
        ({ id, bestBefore }) => isPast(bestBefore, shelf.today) && takings.some(({ lotId }) => lotId === id),
      )
      .map(({ number, bestBefore }) => ({
        code: 'lot-past-date',
        severity: 'caution',
        pourIndex: null,
        doseIndexes: [],
        about: `${name}, lot ${number}`,
        materialId,
        bestBefore: bestBefore ?? '',
        assumed: false,
        fix: null,
      }));
  });
};

function isPast(bestBefore: string | null, today: string): boolean {
  return bestBefore !== null && bestBefore < today;
}
