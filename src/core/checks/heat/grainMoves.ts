import { pourLetter } from '../../plan/plan';
import { showNumber, showTemperature } from '../../units/showQuantity';
import { type HeatCheck, heatFinding } from './heatCheck';

const TOLD_MM = 1;

/** Grit that sinks and petals that float before the pour sets, and what holds them. */
export const grainMoves: HeatCheck = {
  code: 'heat-grain-moves',

  run: ({ sheet, pourPlan }) =>
    pourPlan.grains.flatMap(({ pourIndex, doseIndex, name, movesMm, staysBelowC }) =>
      Math.abs(movesMm) <= TOLD_MM
        ? []
        : [
            heatFinding({
              code: grainMoves.code,
              severity: 'caution',
              pourIndex,
              doseIndexes: [doseIndex],
              about: name,
              text: sheet.pours[pourIndex]?.base.name ?? '',
              figures: { movesMm, ...(staysBelowC === null ? {} : { staysBelowC }) },
              mend:
                staysBelowC === null
                  ? null
                  : [{ edit: 'set-when', pourIndex, atC: Math.floor(staysBelowC * 2) / 2 }],
            }),
          ],
    ),

  say({ pourIndex, about, text = '', figures: { movesMm = 0, staysBelowC } }, showing) {
    const moves = `${movesMm < 0 ? 'rises' : 'sinks'} about ${showNumber(Math.abs(movesMm), 0, showing.locale)} mm`;
    return {
      title: `${about} ${movesMm < 0 ? 'floats up' : 'sinks'} in ${pourLetter(pourIndex ?? 0)}`,
      reason: `It ${moves} before ${text} sets. ${
        staysBelowC === undefined
          ? 'No heat at which it still pours holds it: take a suspension base'
          : `Stir on and pour at ${showTemperature(staysBelowC, showing)} or below, or take a suspension base`
      }.`,
      mendLabel: staysBelowC === undefined ? null : `Pour it at ${showTemperature(staysBelowC, showing)}`,
    };
  },
};
