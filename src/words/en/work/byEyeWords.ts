import type { SheetLine } from '../../../core/plan/sheet';
import type { Showing } from '../../../core/units/showQuantity';
import { showAmountOut } from '../units/showCount';

type ByEye = Pick<SheetLine, 'byEye' | 'counted' | 'massG'>;

/** How far a dose may go beyond its least, “then up to 9 drops (0.45 g) by eye”; nothing for one that has one figure. */
export function byEyeLimit(
  { byEye, counted, massG: plannedG }: ByEye,
  massG: number,
  showing: Showing,
): string {
  if (!byEye) return '';
  if (byEye.mostG === null || !(plannedG > 0)) return 'then more by eye';
  return `then up to ${showAmountOut(counted, (byEye.mostG * massG) / plannedG, showing)} by eye`;
}

/** The same behind what it begins with. */
export function byEyeWords(line: ByEye, massG: number, showing: Showing): string {
  const limit = byEyeLimit(line, massG, showing);
  return limit && ` to begin with, ${limit}`;
}
