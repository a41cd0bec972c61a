import type { HouseRules, Scale } from '../houseRules/houseRules';
import type { SheetLine } from '../plan/sheet';
import { showMass, showNumber, showPercent } from '../units/showQuantity';
import { doseLines } from './doseLines';
import { exceeds } from './exceeds';
import type { Check, Finding } from './finding';

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
const DILUTION_PARTS = 10;

/** A dose that no scale of the workshop reads finely enough. */
export const scaleFit: Check = {
  code: 'scale-fit',

  run(sheet, { rules, shelf }) {
    const lines = doseLines(sheet);
    // Away from any workshop there is no scale to judge.
    if (lines.length === 0 || (rules.scales.length === 0 && shelf === null)) return [];
    if (rules.scales.length === 0) {
      return [
        {
          code: scaleFit.code,
          severity: 'note',
          pourIndex: null,
          doseIndexes: [],
          about: '',
          figures: { noScales: 1 },
          assumed: false,
          mend: null,
        },
      ];
    }
    return lines.flatMap(({ line, pourIndex }) => checkLine(line, pourIndex, sheet.piecesMade, rules));
  },

  say({ about, text = '', figures }, showing) {
    const { noScales = 0, tooHeavy = 0, massG = 0, stepG = 0, error = 0, most = 0 } = figures;
    const {
      gramsStepG = 0,
      gramsError = 0,
      pieces = 0,
      dilutedError = 0,
      liquid = 0,
      massCapG = 0,
    } = figures;
    if (noScales) {
      return {
        title: 'Cannot tell whether the scale is fine enough',
        reason: 'No scale is entered. Add yours with its step and capacity in the house rules.',
        mendLabel: null,
      };
    }
    if (tooHeavy) {
      return {
        title: `${about}: ${showMass(massG, showing)} is more than any scale bears`,
        reason: `The largest bears ${showMass(massCapG, showing)}. Weigh it in parts.`,
        mendLabel: null,
      };
    }
    const percent = (fraction: number) => showPercent(fraction, showing.locale);
    const ways = [
      gramsStepG > 0
        ? `switch it to grams: it then shows ${showNumber(gramsStepG, 3, showing.locale, 0)} g, ±${percent(gramsError)}`
        : null,
      `use a scale that shows ${showNumber(massG * most * 2, 3, showing.locale, 0)} g or finer`,
      pieces > 0 ? `make ${pieces} pieces` : null,
      `pre-dilute: 1 part in ${DILUTION_PARTS - 1} parts of ${liquid ? 'a carrier that is in the plan anyway' : 'melted base'}, and weigh ${showMass(massG * DILUTION_PARTS, showing)} of that, ±${percent(dilutedError)}`,
    ].filter((way) => way !== null);
    return {
      title: `${about}: ${showMass(massG, showing)} is too little for the scale`,
      reason: `${text} moves by ${showNumber(stepG, 3, showing.locale, 0)} g, so this reads to ±${percent(error)}. Ways out: ${ways.join('; ')}.`,
      mendLabel: pieces > 0 ? `Make ${pieces} pieces` : null,
    };
  },
};

function checkLine(line: SheetLine, pourIndex: number, pieces: number, rules: HouseRules): Finding[] {
  // Where a pour goes on in a jug, what is added is weighed.
  const { addG: massG, material, doseIndex } = line;
  if (!(massG > 1e-6)) return [];
  const common: Omit<Finding, 'figures' | 'mend'> = {
    code: scaleFit.code,
    severity: 'caution',
    pourIndex,
    doseIndexes: [doseIndex],
    about: material.name,
    assumed: false,
  };
  const scale = bestScale(rules.scales, massG);
  if (scale === undefined) {
    const massCapG = Math.max(...rules.scales.map(({ capacityG }) => capacityG));
    return [{ ...common, figures: { tooHeavy: 1, massG, massCapG }, mend: null }];
  }
  const most = rules.readingErrorMost;
  const error = readingError(scale.stepG, massG);
  if (!exceeds(error, most)) return [];
  const larger = Math.ceil((pieces * error) / most);
  const canGrow = larger <= Math.min(MOST_PIECES, pieces * 4);
  const grams = scale.gramsStepG ?? 0;
  const diluted = bestScale(rules.scales, massG * DILUTION_PARTS) ?? scale;
  return [
    {
      ...common,
      text: scale.name,
      figures: {
        massG,
        stepG: scale.stepG,
        error,
        most,
        gramsStepG: grams > 0 && grams < scale.stepG ? grams : 0,
        gramsError: grams > 0 ? readingError(grams, massG) : 0,
        pieces: canGrow ? larger : 0,
        dilutedError: readingError(diluted.stepG, massG * DILUTION_PARTS),
        liquid: material.kind === 'fragrance' ? 1 : 0,
      },
      mend: canGrow ? [{ edit: 'set-pieces', pieces: larger }] : null,
    },
  ];
}
