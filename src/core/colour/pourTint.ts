import type { Base } from '../materials/base';
import type { DosedMaterial } from '../materials/material';
import { type Tint, tintOf, USUAL_MM } from './tint';

/** As much of a pour as its colour follows from. */
interface TintedPour {
  base: Pick<Base, 'look'>;
  lines: readonly { material: DosedMaterial; ofBase: number }[];
  fromMm: number | null;
  toMm: number | null;
}

/** The colour that a pour of a sheet will have, looked at through its own thickness. */
export function pourTint({ base, lines, fromMm, toMm }: TintedPour): Tint {
  const dosed = lines.flatMap(({ material, ofBase }) =>
    material.kind === 'colorant' && ofBase > 0 ? [{ colorant: material, ofBase }] : [],
  );
  const thicknessMm = fromMm === null || toMm === null ? USUAL_MM : Math.max(1, toMm - fromMm);
  return tintOf(base.look, dosed, thicknessMm);
}
