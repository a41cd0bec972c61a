import { fillsFor } from '../molds/bars';
import type { Mold } from '../molds/mold';
import { PARTS_OF_ONE } from '../units/counting';
import { amountOf, type Counted, isCounted, type Quantity, sizeOf } from '../units/quantity';
import { scaledText } from '../units/scaledText';
import { writeQuantity } from '../units/writeQuantity';
import { isFixedDose } from './fixedDose';
import { withBatch } from './howMuch';
import { type Dose, type Plan, readsOtherwise, retyped } from './plan';
import type { PourSize } from './pourSize';

/**
 * The same bar in another number: shares stay as they were typed, fixed doses are written anew in proportion.
 *
 * @param pieces a whole number of at least one
 * @param mold the plan's: doses follow the cavities that are filled
 * @param fills so many are filled now; from the sheet where the plan is said by weight
 */
export function scalePlan(plan: Plan, pieces: number, mold: Mold, fills = fillsFor(plan.pieces, mold)): Plan {
  if (!(Number.isInteger(pieces) && pieces >= 1))
    throw new RangeError('pieces must be a whole number from 1');
  const factor = fillsFor(pieces, mold) / fills;
  const scaled = scaleFixedDoses(plan, factor);
  return {
    ...withBatch(scaled, null),
    pieces,
    pours: scaled.pours.map((pour) => ({ ...pour, size: scaledSize(pour.size, factor) })),
  };
}

function scaledSize(size: PourSize, factor: number): PourSize {
  if (size.by === 'mass') return { ...size, massG: size.massG * factor };
  return size.by === 'base' ? { ...size, baseG: size.baseG * factor } : size;
}

/** Multiplies every fixed dose, brought to what can be counted, and leaves the number of pieces alone. */
export function scaleFixedDoses(plan: Plan, factor: number): Plan {
  return {
    ...plan,
    pours: plan.pours.map((pour) => ({
      ...pour,
      doses: pour.doses.map((each) => scaleDose(each, factor)),
    })),
  };
}

function scaleDose(each: Dose, factor: number): Dose {
  const { means } = each;
  if (means === null || factor === 1) return each;
  if (!isFixedDose(each)) return each;
  // In the unit that it was typed in, where its text says what it means.
  const text = readsOtherwise(each) ? null : scaledText(each.text, factor, 'nearest');
  return retyped(each, text ?? writeQuantity(scaledQuantity(means, factor)));
}

function scaledQuantity(means: Quantity, factor: number): Quantity {
  if (means.kind === 'range' && isCounted(means.least) && isCounted(means.most)) {
    const [least, most] = [scaledAmount(means.least, factor), scaledAmount(means.most, factor)];
    return sizeOf(least) < sizeOf(most) ? { kind: 'range', least, most } : least;
  }
  return isCounted(means) ? scaledAmount(means, factor) : means;
}

function scaledAmount(amount: Counted, factor: number): Counted {
  const size = sizeOf(amount) * factor;
  const parts = amount.kind === 'mass' || amount.kind === 'volume' ? null : PARTS_OF_ONE[amount.kind];
  const scaled = amountOf(amount.kind, parts ? Math.max(1, Math.round(size * parts)) / parts : size);
  return amount.kind === 'mass' && amount.approximate
    ? { kind: 'mass', massG: size, approximate: true }
    : scaled;
}
