import type { Base } from '../materials/base';
import type { Figure } from '../materials/defaults';
import { contentOf, type Sheet, type SheetLine, type SheetPour } from '../plan/sheet';
import { showPercent } from '../units/showQuantity';
import { exceedsCap } from './exceeds';
import type { Check, Finding } from './finding';
import { ownDoses, timesDoses } from './timesDoses';

interface CapSpec {
  code: string;
  /** What is capped, at the head of a sentence: “Fragrance”. */
  what: string;
  /** What comes of passing it. */
  reason: string;
  counts(line: SheetLine, base: Base): boolean;
  cap(base: Base): Figure;
  /** A sum of unlike things is the fault of no single dose, so nothing is brought down for it. */
  mends: boolean;
  /** What a pour has of the kind that is counted apart, of base. */
  apart?: { what: string; counts(line: SheetLine, base: Base): boolean };
}

/** A limit that a pour passes, with what is counted to it. */
export interface PassedLimit {
  finding: Finding;
  countedG: number;
  limit: number;
  /** What it is said of: base, or everything that is poured. */
  ofG: number;
}

export interface CapCheck extends Check {
  /** What one pour passes by itself. */
  passed(pour: SheetPour, pourIndex: number): PassedLimit[];
}

/**
 * A cap of the base's, said of its weight. It holds in each pour by itself, and in the whole bar for the mean of
 * its bases' caps.
 */
export function capCheck(spec: CapSpec): CapCheck {
  return {
    code: spec.code,
    passed: (pour, pourIndex) => passedCap(spec, pour, pourIndex),

    run: (sheet) => [
      ...sheet.pours.flatMap((pour, pourIndex) =>
        passedCap(spec, pour, pourIndex).map(({ finding }) => finding),
      ),
      ...checkBar(spec, sheet),
    ],

    say({ about, pourIndex, figures: { ofBase = 0, cap = 0, apart = 0 }, assumed, mend }, { locale }) {
      const whose = assumed ? `the usual cap for a base like ${about}` : `the cap of ${about}`;
      const where = pourIndex === null ? ' in the whole bar' : '';
      const without =
        spec.apart && apart > 0
          ? ` ${spec.apart.what}, ${showPercent(apart, locale)}, is not counted in this.`
          : '';
      return {
        title: `${spec.what} ${showPercent(ofBase, locale)} of base${where}, cap ${showPercent(cap, locale)}`,
        reason: `That is over ${pourIndex === null ? 'the mean of the caps of its bases' : whose}. ${spec.reason}${without}`,
        mendLabel: mend && `Bring down to ${showPercent(cap, locale)}`,
      };
    },
  };
}

const sumOf = (lines: readonly SheetLine[], figure: (line: SheetLine) => number) =>
  lines.reduce((total, line) => total + figure(line), 0);

/** A colour block is coloured soap: base, once its weight is known, and no addition in any case. */
function isBlock({ material }: SheetLine): boolean {
  return material.kind === 'colorant' && material.form === 'block';
}

/** What caps are said of. A usual weight of a block is not trusted to stretch them. */
function cappedBaseG(pour: SheetPour): number {
  const blocks = contentOf(pour).filter((line) => isBlock(line) && !line.assumed.includes('block-mass'));
  return pour.baseG + sumOf(blocks, ({ massG }) => massG);
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
        contentOf(pour).filter((line) => spec.apart?.counts(line, base)),
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
        doseIndexes: spec.mends ? ownDoses(lines) : [],
        about: base.name,
        ...(cap.assumed ? { materialId: base.id } : {}),
        figures: { ofBase, cap: cap.value, apart },
        assumed: cap.assumed,
        mend: spec.mends ? timesDoses(lines, pourIndex, cap.value / ofBase) : null,
      },
    },
  ];
}

function checkBar(spec: CapSpec, sheet: Sheet): Finding[] {
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
      figures: { ofBase, cap, apart: 0 },
      assumed,
      mend: null,
    },
  ];
}
