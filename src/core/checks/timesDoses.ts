import { isInherited, isLaid, pourOfLine, type SheetLine } from '../plan/sheet';
import { scaledText } from '../units/scaledText';
import { writeFigure } from '../units/writeQuantity';
import type { PlanEdit } from './planEdit';

/**
 * The doses of these lines times `factor`, each in the unit it was typed in or else as a share of base (an amount where it is laid), rounded so that a
 * limit is not passed again, and a least is really reached. A dose that came with an earlier pour of the jug is changed there;
 * what came with base that is melted again can't be changed, so the others are changed by more, or nothing helps: null.
 *
 * @param pourIndex of the pour whose lines they are
 */
export function timesDoses(lines: readonly SheetLine[], pourIndex: number, times: number): PlanEdit[] | null {
  const doses = new Map<string, Dose>();
  const factor = ownFactor(lines, times);
  if (factor === null) return null;
  for (const line of lines) {
    if (line.wets || isInherited(line)) continue;
    const at = { pourIndex: pourOfLine(line, pourIndex), doseIndex: line.doseIndex };
    const key = `${at.pourIndex} ${at.doseIndex}`;
    doses.set(key, {
      ...at,
      ofBase: (doses.get(key)?.ofBase ?? 0) + line.ofBase,
      laidG: (doses.get(key)?.laidG ?? 0) + (isLaid(line) ? line.massG : 0),
      text: line.saidAs === 'relation' ? null : line.text,
    });
  }
  const rounding = factor < 1 ? 'down' : 'up';
  return [...doses.values()].map(({ ofBase, laidG, text, ...at }) => ({
    kind: 'set-dose',
    ...at,
    text:
      (text && scaledText(text, factor, rounding)) ??
      (laidG > 0
        ? `${writeFigure(laidG * factor, 4, rounding)} g`
        : `${writeFigure(Math.min(100, ofBase * factor * 100), 4, rounding)} %`),
  }));
}

interface Dose {
  pourIndex: number;
  doseIndex: number;
  ofBase: number;
  /** What is laid is no share of a base. */
  laidG: number;
  /** As it was typed; null where it is said by another dose. */
  text: string | null;
}

/** Places of the doses of a pour's own among some of its lines. */
export function ownDoses(lines: readonly SheetLine[]): number[] {
  const own = lines.filter((line) => !('fromPourIndex' in line) && !isInherited(line));
  return [...new Set(own.map(({ doseIndex }) => doseIndex))];
}

/** What the doses that can be changed are to be multiplied with, so that all of the lines together are; null where that can't be. */
function ownFactor(lines: readonly SheetLine[], factor: number): number | null {
  const share = ({ ofBase, ofProduct }: SheetLine) => ofBase || ofProduct;
  const all = lines.reduce((sum, line) => sum + share(line), 0);
  const inherited = lines.reduce((sum, line) => sum + (isInherited(line) ? share(line) : 0), 0);
  if (inherited === 0) return factor;
  const own = (all * factor - inherited) / (all - inherited);
  return own > 0 && Number.isFinite(own) ? own : null;
}
