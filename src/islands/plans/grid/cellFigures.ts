import { doseOf, isLaid, type Sheet } from '../../../core/plan/sheet';

/** What a cell comes to. */
export interface CellFigures {
  /** What is weighed for it, g; null where nothing is. */
  addG: number | null;
  exact: boolean;
  /** Of base, with what came into its jug before; null where nothing of it is stirred in. */
  ofBase: number | null;
  /** Some of it came with an earlier pour of the jug. */
  isCarried: boolean;
}

const NOTHING: CellFigures = { addG: null, exact: true, ofBase: null, isCarried: false };

/** @param doseIndex null for an empty cell, whose jug may have the material already */
export function cellFigures(
  sheet: Sheet | null,
  pourIndex: number,
  doseIndex: number | null,
  materialId: string,
): CellFigures {
  const pour = sheet?.pours[pourIndex];
  if (!pour) return NOTHING;
  const carried = pour.carried.filter(({ material, wets }) => material.id === materialId && !wets);
  const carriedOfBase = carried.reduce((sum, { ofBase }) => sum + ofBase, 0);
  const own = doseIndex === null ? null : doseOf(pour, doseIndex);
  const isEmpty = own === null || own.lines.length === 0;
  if (isEmpty && carried.length === 0) return NOTHING;
  const isOnlyLaid = own?.lines.every(isLaid) ?? false;
  return {
    addG: isEmpty ? null : own.lines.reduce((sum, { addG }) => sum + addG, 0),
    exact: own?.exact ?? true,
    ofBase: isOnlyLaid && !isEmpty ? null : (own?.ofBase ?? 0) + carriedOfBase,
    isCarried: carried.length > 0,
  };
}
