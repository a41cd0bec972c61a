import type { Base } from '../materials/base';
import type { Figure } from '../materials/defaults';
import { contentOf, isInherited, type Sheet, type SheetLine, type SheetPour } from '../plan/sheet';
import { exceedsCap } from './exceeds';
import type { Check, Found } from './finding';
import { ownDoses, timesDoses } from './timesDoses';

interface CapSpec {
  code: 'fragrance-over-cap' | 'oils-over-cap' | 'liquids-over-cap' | 'additions-over-cap';
  counts(line: SheetLine, base: Base): boolean;
  cap(base: Base): Figure;
  /** A sum of unlike things is the fault of no single dose, so nothing is brought down for it. */
  fixes: boolean;
  /** What is in a pour of the kind that is counted apart. */
  apart?(line: SheetLine, base: Base): boolean;
}

/** A limit that a pour passes, with what is counted to it. */
export interface PassedLimit {
  finding: Found;
  countedG: number;
  limit: number;
  /** What it is said of: base, or everything that is poured. */
  ofG: number;
}

export interface CapCheck {
  /** What each pour passes, and the whole bar. */
  check: Check;
  /** What one pour passes by itself. */
  passed(pour: SheetPour, pourIndex: number): PassedLimit[];
}

/**
 * A cap of the base's, said of its weight. It holds in each pour by itself, and in the whole bar for the mean of
 * its bases' caps.
 */
export function capCheck(spec: CapSpec): CapCheck {
  const passed = (pour: SheetPour, pourIndex: number) => passedCap(spec, pour, pourIndex);
  return {
    passed,
    check: (sheet) => [
      ...sheet.pours.flatMap((pour, pourIndex) => passed(pour, pourIndex).map(({ finding }) => finding)),
      ...checkBar(spec, sheet),
    ],
  };
}

const sumOf = (lines: readonly SheetLine[], figure: (line: SheetLine) => number) =>
  lines.reduce((total, line) => total + figure(line), 0);

/** A colour block is coloured soap: base, once its weight is known, and no addition in any case. */
function isBlock({ material }: SheetLine): boolean {
  return material.kind === 'colorant' && material.form === 'block';
}

/**
 * What caps are said of. A usual weight of a block is not trusted to stretch them; what comes with base that is melted
 * again is no base.
 */
function cappedBaseG(pour: SheetPour): number {
  const blocks = contentOf(pour).filter(
    (line) => isBlock(line) && !isInherited(line) && !line.assumed.includes('block-mass'),
  );
  const inherited = pour.inherited.filter((line) => !isBlock(line));
  return pour.baseG + sumOf(blocks, ({ massG }) => massG) - sumOf(inherited, ({ massG }) => massG);
}

function countedLines(spec: CapSpec, pour: SheetPour) {
  return contentOf(pour).filter((line) => !line.leaves && !isBlock(line) && spec.counts(line, pour.base));
}

function passedCap(spec: CapSpec, pour: SheetPour, pourIndex: number): PassedLimit[] {
  const { base } = pour;
  const lines = countedLines(spec, pour);
  const ofG = cappedBaseG(pour);
  const countedG = sumOf(lines, (line) => line.ofBase) * pour.baseG;
  const ofBase = countedG / ofG;
  const cap = spec.cap(base);
  if (!exceedsCap(ofBase, cap.value)) return [];
  const apart = spec.apart
    ? sumOf(
        contentOf(pour).filter((line) => spec.apart?.(line, base)),
        (line) => line.ofBase,
      )
    : 0;
  return [
    {
      countedG,
      limit: cap.value,
      ofG,
      finding: {
        code: spec.code,
        severity: cap.assumed ? 'caution' : 'stop',
        pourIndex,
        doseIndexes: spec.fixes ? ownDoses(lines) : [],
        about: base.name,
        ...(cap.assumed ? { materialId: base.id } : {}),
        ofBase,
        cap: cap.value,
        apart,
        assumed: cap.assumed,
        fix: spec.fixes ? timesDoses(lines, pourIndex, cap.value / ofBase) : null,
      },
    },
  ];
}

function checkBar(spec: CapSpec, sheet: Sheet): Found[] {
  if (sheet.pours.length < 2) return [];
  const { pours } = sheet;
  const baseG = pours.reduce((sum, pour) => sum + cappedBaseG(pour), 0);
  const massG = pours.reduce((sum, pour) => sum + sumOf(countedLines(spec, pour), (line) => line.massG), 0);
  const caps = pours.map((pour) => spec.cap(pour.base));
  const cap =
    pours.reduce((sum, pour, index) => sum + (caps[index]?.value ?? 0) * cappedBaseG(pour), 0) / baseG;
  const ofBase = massG / baseG;
  if (!exceedsCap(ofBase, cap)) return [];
  const assumed = caps.some((each) => each.assumed);
  return [
    {
      code: spec.code,
      severity: assumed ? 'caution' : 'stop',
      pourIndex: null,
      doseIndexes: [],
      about: [...new Set(sheet.pours.map((pour) => pour.base.name))].join(', '),
      ofBase,
      cap,
      apart: 0,
      assumed,
      fix: null,
    },
  ];
}
