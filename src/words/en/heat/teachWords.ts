import type { Taught } from '../../../core/heat/taught';
import type { TeachFault } from '../../../core/heat/teach';
import { type Showing, showNumber, showPercent, showTemperature } from '../../../core/units/showQuantity';
import { stopwatchWords } from '../showTime';

/** Why nothing can be learnt from readings, and what to do. */
export function teachFaultWords(fault: TeachFault, showing: Showing): string {
  switch (fault.code) {
    case 'too-few':
      return `${fault.count} readings are too few: take at least four, better a dozen over ten minutes.`;
    case 'too-flat':
      return `It fell by ${showNumber(fault.fellK, 1, showing.locale)} K only, which says nothing of how fast it loses heat. Read on until it has fallen by 3 K or more.`;
    case 'not-in-order':
      return `Reading ${fault.place + 1} is not later than the one before it. Put them in order.`;
    case 'room-too-warm':
      return `The room is said to be ${showTemperature(fault.roomC, showing)}, and a reading is ${showTemperature(fault.coolestC, showing)}: nothing cools to its room’s temperature so soon. Read the room again.`;
    case 'does-not-fit':
      return `The readings lie ${showNumber(fault.offK, 1, showing.locale)} K off any curve. Was it stirred, warmed up or poured from in between? Use a stretch in which it only stood.`;
    case 'cannot-tell':
      return `The readings leave it open by ${showPercent(fault.spread, showing.locale, 0)}. Take more of them, over a longer time.`;
    case 'beyond-belief':
      return `It would lose heat ${showNumber(fault.scale, 1, showing.locale)} times as fast as the model. Check the amount, the room and the unit of time.`;
  }
}

/** What a jug or a mold was taught, in words, with where it came from. */
export function taughtWords({ scale, spread, from }: Taught, showing: Showing): string {
  const figure = `${showNumber(scale, 2, showing.locale)} times the usual loss, ± ${showPercent(spread, showing.locale, 0)}`;
  if (from.is === 'touch')
    return `${figure}; by touch, ${from.planName} carried after ${stopwatchWords(from.carriedS)} min`;
  const content = from.contentG === null ? '' : `${showNumber(from.contentG, 0, showing.locale)} g of `;
  return `${figure}; ${from.readings.length} readings of ${content}${from.baseName} in a room of ${showTemperature(from.roomC, showing)}`;
}
