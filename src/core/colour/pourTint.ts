import type { SheetPour } from '../plan/sheet';
import { type Tint, tintOf, USUAL_MM } from './tint';

/** The colour that a pour of a sheet will have, looked at through its own thickness. */
export function pourTint({
  base,
  lines,
  fromMm,
  toMm,
}: Pick<SheetPour, 'base' | 'lines' | 'fromMm' | 'toMm'>): Tint {
  const dosed = lines.flatMap(({ material, ofBase }) =>
    material.kind === 'colorant' && ofBase > 0 ? [{ colorant: material, ofBase }] : [],
  );
  const thicknessMm = fromMm === null || toMm === null ? USUAL_MM : Math.max(1, toMm - fromMm);
  return tintOf(base.look, dosed, thicknessMm);
}
