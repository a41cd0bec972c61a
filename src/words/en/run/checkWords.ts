import { deviationOf, type InstrumentCheck } from '../../../core/run/instrumentCheck';
import { type Showing, showMass, showNumber, showTemperature } from '../../../core/units/showQuantity';
import { showDay } from '../showTime';

/** How an instrument stood beside what is known: “0.3 g too much beside 100 g”. */
export function checkWords(check: InstrumentCheck, showing: Showing): string {
  const off = deviationOf(check);
  const isMass = check.quantity === 'mass';
  const beside = isMass
    ? showMass(check.reference, showing)
    : `ice water, ${showTemperature(check.reference, showing)}`;
  const size = Math.abs(off);
  const amount = isMass
    ? showMass(size, showing)
    : showing.system === 'us'
      ? `${showNumber(size * 1.8, 1, showing.locale)} °F`
      : `${showNumber(size, 1, showing.locale)} °C`;
  const isTrue = size < (isMass ? 0.005 : 0.05);
  return `${isTrue ? 'true' : `${amount} too ${off > 0 ? 'much' : 'little'}`} beside ${beside}, ${showDay(check.at, showing.locale)}`;
}
