import { type Sheet, type SheetLine, type SheetPour, weighedLines } from '../plan/sheet';

/** A line with where it stands. */
export interface PlacedLine {
  pour: SheetPour;
  pourIndex: number;
  line: SheetLine;
}

/** Most checks walk the same lines of the same sheet. */
const WALKED = new WeakMap<Sheet, readonly PlacedLine[]>();

/** Every line of a sheet, pour by pour, what is laid after what is stirred in; a dose of nothing is no line. */
export function doseLines(sheet: Sheet): readonly PlacedLine[] {
  const known = WALKED.get(sheet);
  if (known) return known;
  const lines: PlacedLine[] = [];
  for (const [pourIndex, pour] of sheet.pours.entries())
    for (const line of weighedLines(pour)) if (line.massG > 0) lines.push({ pour, pourIndex, line });
  WALKED.set(sheet, lines);
  return lines;
}
