import fontkit from '@pdf-lib/fontkit';
import { LineCapStyle, PDFDocument, type PDFFont, type PDFPage, rgb } from 'pdf-lib';
import type { SetPiece } from '../../core/label/label';
import type { OnPage } from '../../core/label/labelSheet';
import { EDGE_MM } from '../../core/label/layerStripe';

/** The files of its fonts, TrueType. */
export interface FontFiles {
  regular: Uint8Array;
  bold: Uint8Array;
}

/** A page with the pieces of paper on it. */
export interface LabelPage {
  widthMm: number;
  heightMm: number;
  pieces: OnPage<SetPiece>[];
}

const POINTS_PER_MM = 72 / 25.4;
/** Of the line that it is cut along. */
const CUT_POINTS = 0.25;
const BLACK = rgb(0, 0, 0);
const GREY = rgb(0.6, 0.6, 0.6);

export interface LabelPrint {
  pages: readonly LabelPage[];
  title: string;
  /** Whether the lines that they are cut along are drawn. */
  outlines: boolean;
}

/** Labels to scale as PDF, with their fonts and with text that can be selected. */
export async function labelPdf(
  { pages, title, outlines }: LabelPrint,
  { regular, bold }: FontFiles,
): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle(title);
  document.setLanguage('en');
  const fonts = {
    regular: await document.embedFont(regular, { subset: true }),
    bold: await document.embedFont(bold, { subset: true }),
  };
  for (const { widthMm, heightMm, pieces } of pages) {
    const page = document.addPage([widthMm * POINTS_PER_MM, heightMm * POINTS_PER_MM]);
    for (const piece of pieces) draw(page, piece, fonts, outlines);
  }
  return document.save();
}

function draw(
  page: PDFPage,
  { piece, xMm, yMm }: OnPage<SetPiece>,
  fonts: { regular: PDFFont; bold: PDFFont },
  outlines: boolean,
): void {
  const x = (mm: number) => (xMm + mm) * POINTS_PER_MM;
  const y = (mm: number) => page.getHeight() - (yMm + mm) * POINTS_PER_MM;
  const box = (
    left: number,
    top: number,
    width: number,
    height: number,
    look: Parameters<PDFPage['drawRectangle']>[0] = { color: BLACK },
  ) =>
    page.drawRectangle({
      x: x(left),
      y: y(top + height),
      width: width * POINTS_PER_MM,
      height: height * POINTS_PER_MM,
      ...look,
    });
  if (outlines) outline(page, piece, x, y);
  for (const { text, isBold, sizeMm, xMm: left, baselineMm } of piece.lines)
    page.drawText(text, {
      x: x(left),
      y: y(baselineMm),
      size: sizeMm * POINTS_PER_MM,
      font: isBold ? fonts.bold : fonts.regular,
      color: BLACK,
    });
  for (const line of piece.jar?.strokes ?? [])
    line.slice(1).forEach(([toX, toY], before) => {
      const [fromX = 0, fromY = 0] = line[before] ?? [];
      page.drawLine({
        start: { x: x(fromX), y: y(fromY) },
        end: { x: x(toX), y: y(toY) },
        thickness: (piece.jar?.strokeMm ?? 0) * POINTS_PER_MM,
        color: BLACK,
        lineCap: LineCapStyle.Round,
      });
    });
  if (piece.stripe) {
    const edge = { borderColor: BLACK, borderWidth: EDGE_MM * POINTS_PER_MM };
    for (const { hex, box: at } of piece.stripe.layers)
      box(at.xMm, at.yMm, at.widthMm, at.heightMm, { color: colourOf(hex) });
    const { xMm: left, yMm: top, widthMm, heightMm } = piece.stripe.box;
    box(left, top, widthMm, heightMm, edge);
  }
  if (piece.qr) {
    const { box: at, rows } = piece.qr;
    const module = at.widthMm / rows.length;
    rows.forEach((row, down) => {
      row.forEach((isDark, right) => {
        if (isDark) box(at.xMm + right * module, at.yMm + down * module, module, module);
      });
    });
  }
  if (piece.bars) {
    const { box: at, widths } = piece.bars;
    const module = at.widthMm / widths.reduce((sum, each) => sum + each, 0);
    let left = at.xMm;
    widths.forEach((width, place) => {
      if (place % 2 === 0) box(left, at.yMm, width * module, at.heightMm);
      left += width * module;
    });
  }
}

/** Of # and six digits of sRGB. */
function colourOf(hex: string) {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map(
    (at) => Number.parseInt(hex.slice(at, at + 2), 16) / 255,
  );
  return rgb(red, green, blue);
}

function outline(page: PDFPage, piece: SetPiece, x: (mm: number) => number, y: (mm: number) => number): void {
  const line = { borderColor: GREY, borderWidth: CUT_POINTS };
  if (piece.outline === 'round') {
    const radius = piece.widthMm / 2;
    page.drawCircle({ x: x(radius), y: y(radius), size: radius * POINTS_PER_MM, ...line });
  } else
    page.drawRectangle({
      x: x(0),
      y: y(piece.heightMm),
      width: piece.widthMm * POINTS_PER_MM,
      height: piece.heightMm * POINTS_PER_MM,
      ...line,
    });
}
