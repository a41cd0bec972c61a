import { doseOf, type SheetPour } from '../plan/sheet';
import { writeFigure } from '../units/writeQuantity';
import type { PlanEdit } from './finding';

/**
 * Each of the doses times `factor`, as a share of base, rounded so that a limit is not passed again, and a least is
 * really reached.
 */
export function timesDoses(
  pour: SheetPour,
  pourIndex: number,
  doseIndexes: readonly number[],
  factor: number,
): PlanEdit[] {
  return doseIndexes.map((doseIndex) => {
    const percent = Math.min(100, doseOf(pour, doseIndex).ofBase * factor * 100);
    return {
      edit: 'set-dose',
      pourIndex,
      doseIndex,
      text: `${writeFigure(percent, 4, factor < 1 ? 'down' : 'up')} %`,
    };
  });
}
