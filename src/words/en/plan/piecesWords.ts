import type { PiecesOfSheet } from '../../../core/plan/piecesOfSheet';
import type { Sheet } from '../../../core/plan/sheet';
import { type Showing, showMass, showPercent } from '../../../core/units/showQuantity';
import { counted, listed } from '../plural';

type Told = Pick<Sheet, 'totals' | 'fillFraction' | 'secondMold'>;

/** All pieces of a sheet with their weights: “10 pieces of 96.5 g and 1 of 38.6 g in Small rounds”. */
export function piecesWords(pieces: PiecesOfSheet, sheet: Told, showing: Showing): string {
  const first = `${counted(pieces.first, 'piece', 'pieces')} of ${showMass(sheet.totals.pieceG, showing)}`;
  return listed([first, ...besideWords(pieces, sheet, showing)]);
}

/** What comes out besides the whole pieces of the plan's mold: those of its second, and one that is filled in part. */
export function besideWords({ second, part }: PiecesOfSheet, sheet: Told, showing: Showing): string[] {
  const { totals, fillFraction, secondMold } = sheet;
  const inSecond = secondMold ? ` in ${secondMold.name}` : '';
  const words = second > 0 ? [`${second} of ${showMass(totals.secondPieceG, showing)}${inSecond}`] : [];
  if (part) {
    const massG = (part.isSecond ? totals.secondFillG : totals.fillG) * part.ofFill;
    const filled = showPercent(fillFraction * part.ofFill, showing.locale, 0);
    words.push(`one of ${showMass(massG, showing)}${part.isSecond ? inSecond : ''}, filled to ${filled}`);
  }
  return words;
}
