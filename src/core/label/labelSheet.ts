import type { LabelSheet } from '../houseRules/selling';

export const PAPERS = {
  a4: { widthMm: 210, heightMm: 297 },
  letter: { widthMm: 215.9, heightMm: 279.4 },
} as const;

/** Where a piece lies on a page, mm from the upper left corner. */
export interface OnPage<Piece> {
  piece: Piece;
  xMm: number;
  yMm: number;
}

/** How far labels of a sheet reach over the paper's edge, mm; 0 where all lie on it. */
export function overEdgeMm({ paper, columns, rows, ...sheet }: LabelSheet): number {
  const { widthMm, heightMm } = PAPERS[paper];
  const right = sheet.leftMm + columns * sheet.labelWidthMm + (columns - 1) * sheet.gapXMm;
  const foot = sheet.topMm + rows * sheet.labelHeightMm + (rows - 1) * sheet.gapYMm;
  return Math.max(0, right - widthMm, foot - heightMm);
}

/**
 * Pieces of paper on the labels of sheets, row by row, each in the middle of its label.
 *
 * @param first the first label that is free on the first sheet, from 1
 */
export function onSheets<Piece extends { widthMm: number; heightMm: number }>(
  pieces: readonly Piece[],
  sheet: LabelSheet,
  first = 1,
): OnPage<Piece>[][] {
  const perPage = sheet.columns * sheet.rows;
  const pages: OnPage<Piece>[][] = [];
  pieces.forEach((piece, index) => {
    const place = Math.min(Math.max(1, first), perPage) - 1 + index;
    const [page, cell] = [Math.floor(place / perPage), place % perPage];
    const column = cell % sheet.columns;
    const row = Math.floor(cell / sheet.columns);
    pages[page] ??= [];
    pages[page].push({
      piece,
      xMm:
        sheet.leftMm +
        column * (sheet.labelWidthMm + sheet.gapXMm) +
        (sheet.labelWidthMm - piece.widthMm) / 2,
      yMm:
        sheet.topMm + row * (sheet.labelHeightMm + sheet.gapYMm) + (sheet.labelHeightMm - piece.heightMm) / 2,
    });
  });
  return pages;
}
