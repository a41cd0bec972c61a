import type { z } from '../zod';
import type {
  carriedLineSchema,
  sheetEmbedSchema,
  sheetLineSchema,
  sheetPourSchema,
  sheetSchema,
} from './sheetSchema';

export type SheetLine = z.infer<typeof sheetLineSchema>;

export type CarriedSheetLine = z.infer<typeof carriedLineSchema>;

export type SheetEmbed = z.infer<typeof sheetEmbedSchema>;

export type SheetPour = z.infer<typeof sheetPourSchema>;

export type Sheet = z.infer<typeof sheetSchema>;

/** What the lines of one dose come to, its dispersant apart. */
export function doseOf(pour: SheetPour, doseIndex: number) {
  const lines = pour.lines.filter((line) => line.doseIndex === doseIndex && !line.wets);
  const sum = (figure: (line: SheetLine) => number) => lines.reduce((total, line) => total + figure(line), 0);
  return {
    lines,
    massG: sum(({ massG }) => massG),
    ofBase: sum(({ ofBase }) => ofBase),
    ofProduct: sum(({ ofProduct }) => ofProduct),
    exact: lines.every(({ exact }) => exact),
  };
}

/** Everything that a pour holds: its own doses, and what is still in its jug of earlier ones. */
export function contentOf({ lines, carried }: Pick<SheetPour, 'lines' | 'carried'>): SheetLine[] {
  return carried.length > 0 ? [...lines, ...carried] : lines;
}

/** Which pour's dose a line is: its own, or that of the pour it was added before. */
export function pourOfLine(line: SheetLine, pourIndex: number): number {
  return 'fromPourIndex' in line ? (line as CarriedSheetLine).fromPourIndex : pourIndex;
}
