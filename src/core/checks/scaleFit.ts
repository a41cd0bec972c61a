import type { HouseRules, Scale } from '../houseRules/houseRules';
import type { Sheet, SheetLine } from '../plan/sheet';
import { doseLines } from './doseLines';
import { exceeds } from './exceeds';
import type { Check, Found } from './finding';
import { PLAIN } from './plain';

/** A display is off by half its smallest step at the most. */
export function readingError(stepG: number, massG: number): number {
  return stepG / 2 / massG;
}

/** The scale that reads a weight best among those that bear it. */
export function bestScale(scales: readonly Scale[], massG: number): Scale | undefined {
  return scales
    .filter(({ capacityG }) => capacityG >= massG)
    .reduce<Scale | undefined>(
      (best, scale) => (best && best.stepG <= scale.stepG ? best : scale),
      undefined,
    );
}

const MOST_PIECES = 100_000;
/** A dilution of one in ten is easily weighed and reckoned with. */
export const DILUTION_PARTS = 10;

/** A dose that no scale of the workshop reads finely enough. */
export const scaleFit: Check = (sheet, { rules, shelf }) => {
  const lines = doseLines(sheet);
  // Away from any workshop there is no scale to judge.
  if (lines.length === 0 || (rules.scales.length === 0 && shelf === null)) return [];
  if (rules.scales.length === 0) return [{ ...PLAIN, code: 'no-scales', severity: 'note', pourIndex: null }];
  return lines.flatMap(({ line, pourIndex }) => checkLine(line, pourIndex, sheet, rules));
};

function checkLine(
  line: SheetLine,
  pourIndex: number,
  { piecesMade: pieces, batch }: Sheet,
  rules: HouseRules,
): Found[] {
  // Where a pour goes on in a jug, what is added is weighed.
  const { addG: massG, material, doseIndex } = line;
  // What is counted out is not weighed.
  if (!(massG > 1e-6) || line.counted !== null) return [];
  const common = {
    ...PLAIN,
    severity: 'caution' as const,
    pourIndex,
    doseIndexes: [doseIndex],
    about: material.name,
    massG,
  };
  const scale = bestScale(rules.scales, massG);
  if (scale === undefined) {
    const capacityG = Math.max(...rules.scales.map((each) => each.capacityG));
    return [{ ...common, code: 'over-scale-capacity', capacityG }];
  }
  const most = rules.readingErrorMost;
  const error = readingError(scale.stepG, massG);
  if (!exceeds(error, most)) return [];
  const larger = Math.ceil((pieces * error) / most);
  // Said by weight, a batch has no number of pieces to set.
  const canGrow = batch === null && larger <= Math.min(MOST_PIECES, pieces * 4);
  const diluted = bestScale(rules.scales, massG * DILUTION_PARTS) ?? scale;
  const { gramsStepG } = scale;
  const isFinerInGrams = gramsStepG !== null && gramsStepG > 0 && gramsStepG < scale.stepG;
  const inGrams = isFinerInGrams ? { stepG: gramsStepG, error: readingError(gramsStepG, massG) } : null;
  const dilutedError = readingError(diluted.stepG, massG * DILUTION_PARTS);
  return [
    {
      ...common,
      code: 'scale-fit',
      // The same scale reads it once it is switched to grams.
      severity: inGrams && !exceeds(inGrams.error, most) ? ('note' as const) : common.severity,
      scaleName: scale.name,
      stepG: scale.stepG,
      error,
      most,
      inGrams,
      pieces: canGrow ? larger : null,
      dilutedError,
      isLiquid: material.kind === 'fragrance',
      fix: canGrow ? [{ kind: 'set-pieces', pieces: larger }] : null,
    },
  ];
}
