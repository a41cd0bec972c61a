import { pourTint } from '../colour/pourTint';
import { heatOfBase } from '../materials/base';
import { barsPerCavity, pieceShare } from '../molds/bars';
import { hasMold } from '../molds/noMold';
import type { MadePiece } from './embed';
import type { Sheet } from './sheet';

/**
 * One piece of a plan as another plan may set it in: a bar, where its loaf is sliced. Without a sheet or a mold, or where something
 * that is set into it has no size, neither has it.
 */
export function madePieceOf(planId: string, name: string, sheet: Sheet | null): MadePiece {
  if (
    !sheet ||
    !hasMold(sheet) ||
    !(sheet.totals.pieceG > 0) ||
    sheet.pours.some((pour) => pour.embedsUnsized.length > 0)
  )
    return { planId, name, pieceG: null, pieceMl: null, heightMm: null, colour: null, ofBase: null };
  const { pours, fills, totals, mold } = sheet;
  const kept = pours.filter(({ way }) => !way.trimmed);
  const wholeMl = kept.reduce((sum, { intoMoldMl, displacedMl }) => sum + intoMoldMl + displacedMl, 0);
  const share = pieceShare(mold);
  const isSliced = barsPerCavity(mold) > 1;
  const [most] = kept.toSorted((a, b) => b.intoMoldMl - a.intoMoldMl);
  const [from, to] = [kept[0]?.fromMm ?? null, kept.at(-1)?.toMm ?? null];
  return {
    planId,
    name,
    pieceG: totals.pieceG,
    pieceMl: (wholeMl / fills) * share,
    heightMm: isSliced || from === null || to === null || to <= from ? null : to - from,
    colour: most ? pourTint(most).hex : null,
    ofBase: most ? heatOfBase(most.base) : null,
  };
}
