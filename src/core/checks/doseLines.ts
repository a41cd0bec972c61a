import { isInherited, type Sheet, type SheetLine, type SheetPour, weighedLines } from '../plan/sheet';
import type { PlanEdit } from './planEdit';
import { ownDoses } from './timesDoses';

/** A line with where it stands. */
export interface PlacedLine {
  pour: SheetPour;
  pourIndex: number;
  line: SheetLine;
  /** Place of its dose; none where it came with base that is melted again. */
  doseIndexes: number[];
  /** What takes it out of the pour: its dose goes, or what it came with. */
  takeOut: PlanEdit[];
}

/** Most checks walk the same lines of the same sheet. */
const WALKED = new WeakMap<Sheet, readonly PlacedLine[]>();

/**
 * Every line of a sheet, pour by pour: what is stirred in, what is laid, and what came with base that is melted again, which
 * is told with the pour that its jug begins with. A dose of nothing is no line.
 */
export function doseLines(sheet: Sheet): readonly PlacedLine[] {
  const known = WALKED.get(sheet);
  if (known) return known;
  const lines: PlacedLine[] = [];
  for (const [pourIndex, pour] of sheet.pours.entries()) {
    const came = pour.way.sameJug ? [] : pour.inherited;
    for (const line of came.length > 0 ? [...weighedLines(pour), ...came] : weighedLines(pour))
      if (line.massG > 0) lines.push({ pour, pourIndex, line, ...placeOf(line, pourIndex) });
  }
  WALKED.set(sheet, lines);
  return lines;
}

function placeOf(line: SheetLine, pourIndex: number): Pick<PlacedLine, 'doseIndexes' | 'takeOut'> {
  const { doseIndex } = line;
  return {
    doseIndexes: ownDoses([line]),
    takeOut: isInherited(line)
      ? [{ kind: 'fresh-base', pourIndex }]
      : [{ kind: 'remove-dose', pourIndex, doseIndex }],
  };
}
