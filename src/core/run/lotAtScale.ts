import type { Sheet } from '../plan/sheet';
import { firstExpiredFirst, type LotStock } from '../stock/stock';
import type { TaskState } from './taskStates';
import { weighedMaterial } from './usedMaterials';

/**
 * The lot that a weighing is from unless another is said: the one that this run weighed of its material last, while it
 * has any; else the first to expire that has.
 *
 * @param lots of the material, in the order they were bought
 * @returns null where there are none
 */
export function lotAtScale(
  tasks: readonly TaskState[],
  sheet: Pick<Sheet, 'pours'>,
  materialId: string,
  lots: readonly LotStock[],
): LotStock | null {
  const said = tasks
    .filter((task) => weighedMaterial(sheet, task)?.id === materialId)
    .flatMap(({ doneAt, parts }) => parts.map(({ lotId }) => ({ at: doneAt ?? '', lotId })))
    .toSorted((a, b) => a.at.localeCompare(b.at))
    .findLast(({ lotId }) => lotId !== null)?.lotId;
  const last = lots.find(({ id, left }) => id === said && left > 0);
  const byDate = firstExpiredFirst(lots);
  return last ?? byDate.find(({ left }) => left > 0) ?? byDate[0] ?? null;
}

/** Typed or scanned so near to what is weighed, a figure is a weight and no number of a lot. */
const NEAR_TARGET = 0.25;

/**
 * The lot whose number was typed or scanned where a weight is typed.
 *
 * @param weightG what the text says as a weight, g; null where it says none
 * @returns null where it is none, or rather a weight
 */
export function scannedLot(
  text: string,
  lots: readonly LotStock[],
  weightG: number | null,
  targetG: number,
): LotStock | null {
  const wanted = text.trim().toLowerCase();
  const lot = lots.find(({ number }) => number.trim().toLowerCase() === wanted) ?? null;
  const isNear = weightG !== null && Math.abs(weightG - targetG) <= NEAR_TARGET * targetG;
  return isNear ? null : lot;
}
