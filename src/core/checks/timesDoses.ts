import { pourOfLine, type SheetLine } from '../plan/sheet';
import { scaledText } from '../units/scaledText';
import { writeFigure } from '../units/writeQuantity';
import type { PlanEdit } from './planEdit';

/**
 * The doses of these lines times `factor`, each in the unit it was typed in or else as a share of base, rounded so that a
 * limit is not passed again, and a least is really reached. A dose that came with an earlier pour of the jug is changed there.
 *
 * @param pourIndex of the pour whose lines they are
 */
export function timesDoses(lines: readonly SheetLine[], pourIndex: number, factor: number): PlanEdit[] {
  const doses = new Map<
    string,
    { pourIndex: number; doseIndex: number; ofBase: number; text: string | null }
  >();
  for (const line of lines) {
    if (line.wets) continue;
    const at = { pourIndex: pourOfLine(line, pourIndex), doseIndex: line.doseIndex };
    const key = `${at.pourIndex} ${at.doseIndex}`;
    doses.set(key, {
      ...at,
      ofBase: (doses.get(key)?.ofBase ?? 0) + line.ofBase,
      text: line.saidAs === 'relation' ? null : line.text,
    });
  }
  const rounding = factor < 1 ? 'down' : 'up';
  return [...doses.values()].map(({ ofBase, text, ...at }) => ({
    kind: 'set-dose',
    ...at,
    text:
      (text && scaledText(text, factor, rounding)) ??
      `${writeFigure(Math.min(100, ofBase * factor * 100), 4, rounding)} %`,
  }));
}

/** Places of the doses of a pour's own among some of its lines. */
export function ownDoses(lines: readonly SheetLine[]): number[] {
  return [...new Set(lines.filter((line) => !('fromPourIndex' in line)).map(({ doseIndex }) => doseIndex))];
}
