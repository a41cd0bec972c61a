import { pourLetter } from '../../../../core/plan/plan';
import { showNumber, showTemperature } from '../../../../core/units/showQuantity';
import type { Describe } from '../described';

export const grainMoves: Describe<'heat-grain-moves'> = (
  { pourIndex, about, baseName, movesMm, staysBelowC },
  showing,
) => {
  const moves = `${movesMm < 0 ? 'rises' : 'sinks'} about ${showNumber(Math.abs(movesMm), 0, showing.locale)} mm`;
  return {
    title: `${about} ${movesMm < 0 ? 'floats up' : 'sinks'} in ${pourLetter(pourIndex ?? 0)}`,
    reason: `It ${moves} before ${baseName} sets. ${
      staysBelowC === null
        ? 'No heat at which it still pours holds it: take a suspension base'
        : `Stir on and pour at ${showTemperature(staysBelowC, showing)} or below, or take a suspension base`
    }.`,
    fixLabel: staysBelowC === null ? null : `Pour it at ${showTemperature(staysBelowC, showing)}`,
  };
};
