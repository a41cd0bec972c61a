import type { Base } from '../materials/base';
import type { DosedMaterial } from '../materials/material';
import { type Tint, tintOf, USUAL_MM } from './tint';

interface TintingLine {
  material: DosedMaterial;
  ofBase: number;
}

/** As much of a pour as its colour follows from. */
interface TintedPour {
  base: Pick<Base, 'look'>;
  lines: readonly TintingLine[];
  /** What came with earlier pours of its jug. */
  carried?: readonly TintingLine[];
  /** What came with base that was melted before. */
  inherited?: readonly TintingLine[];
  fromMm: number | null;
  toMm: number | null;
}

/** The colour that a pour of a sheet will have, looked at through its own thickness. */
export function pourTint({ base, lines, carried = [], inherited = [], fromMm, toMm }: TintedPour): Tint {
  const dosed = [...lines, ...carried, ...inherited].flatMap(({ material, ofBase }) =>
    material.kind === 'colorant' && ofBase > 0 ? [{ colorant: material, ofBase }] : [],
  );
  const thicknessMm = fromMm === null || toMm === null ? USUAL_MM : Math.max(1, toMm - fromMm);
  return tintOf(base.look, dosed, thicknessMm);
}
