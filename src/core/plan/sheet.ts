import type { z } from '../zod';
import type {
  carriedLineSchema,
  laidLineSchema,
  sheetEmbedSchema,
  sheetLineSchema,
  sheetPourSchema,
  sheetSchema,
} from './sheetSchema';

export type SheetLine = z.infer<typeof sheetLineSchema>;

export type SheetLaid = z.infer<typeof laidLineSchema>;

export type CarriedSheetLine = z.infer<typeof carriedLineSchema>;

export type SheetEmbed = z.infer<typeof sheetEmbedSchema>;

export type SheetPour = z.infer<typeof sheetPourSchema>;

export type Sheet = z.infer<typeof sheetSchema>;

/** What the lines of one dose come to, its dispersant apart. */
export function doseOf(pour: SheetPour, doseIndex: number) {
  const lines = weighedLines(pour).filter((line) => line.doseIndex === doseIndex && !line.wets);
  const sum = (figure: (line: SheetLine) => number) => lines.reduce((total, line) => total + figure(line), 0);
  return {
    lines,
    massG: sum(({ massG }) => massG),
    ofBase: sum(({ ofBase }) => ofBase),
    ofProduct: sum(({ ofProduct }) => ofProduct),
    exact: lines.every(({ exact }) => exact),
  };
}

/** Everything of a pour that is weighed besides its base: what is stirred in, then what is laid. */
export function weighedLines({ lines, laid }: Pick<SheetPour, 'lines' | 'laid'>): SheetLine[] {
  return laid.length > 0 ? [...lines, ...laid] : lines;
}

/** What is laid and not stirred in. */
export function isLaid(line: SheetLine): line is SheetLaid {
  return 'laid' in line;
}

/** Everything that a pour holds: its own doses, what is still in its jug of earlier ones, and what its base brings along. */
export function contentOf({
  lines,
  carried,
  inherited,
}: Pick<SheetPour, 'lines' | 'carried' | 'inherited'>): SheetLine[] {
  if (inherited.length > 0) return [...lines, ...carried, ...inherited];
  return carried.length > 0 ? [...lines, ...carried] : lines;
}

/** True for what was dosed into something that is melted again. */
export function isInherited(line: SheetLine): boolean {
  return 'fromScrapId' in line;
}

/** Everything of a pour that is in the product: what its jug holds, and what is laid. */
export function inProduct(pour: Pick<SheetPour, 'lines' | 'carried' | 'inherited' | 'laid'>): SheetLine[] {
  return pour.laid.length > 0 ? [...contentOf(pour), ...pour.laid] : contentOf(pour);
}

/** Which pour's dose a line is: its own, or that of the pour it was added before. */
export function pourOfLine(line: SheetLine, pourIndex: number): number {
  return 'fromPourIndex' in line ? (line as CarriedSheetLine).fromPourIndex : pourIndex;
}
