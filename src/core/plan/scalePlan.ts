import { fillsFor, type Molds } from '../molds/filled';
import { jugsOf } from '../pours/jugsOf';
import { meltOfFillings } from '../pours/leastMelt';
import { PARTS_OF_ONE } from '../units/counting';
import { amountOf, type Counted, isCounted, type Quantity, sizeOf } from '../units/quantity';
import { scaledText } from '../units/scaledText';
import { writeQuantity } from '../units/writeQuantity';
import { isFixedDose } from './fixedDose';
import { type Dose, type Plan, readsOtherwise, retyped } from './plan';
import type { PourSize } from './pourSize';
import type { Sheet } from './sheet';
import { withBatch } from './withBatch';

/**
 * The same bar in another number: shares stay as they were typed, fixed doses are written anew in proportion.
 *
 * @param pieces a whole number of at least one
 * @param molds the plan's: doses follow the cavities that are filled
 * @param sheet of the plan, for what is said by weight or melted beyond its need
 */
export function scalePlan(plan: Plan, pieces: number, molds: Molds, sheet: Scaled | null = null): Plan {
  if (!(Number.isInteger(pieces) && pieces >= 1))
    throw new RangeError('pieces must be a whole number from 1');
  const factor = fillsFor(pieces, molds) / (sheet?.fills ?? fillsFor(plan.pieces, molds));
  const scaled = scaleFixedDoses(plan, sheet ? meltFactors(sheet, factor) : plan.pours.map(() => factor));
  return {
    ...withBatch(scaled, null, sheet),
    pieces,
    pours: scaled.pours.map((pour) => ({ ...pour, size: scaledSize(pour.size, factor) })),
  };
}

function scaledSize(size: PourSize, factor: number): PourSize {
  if (size.by === 'mass') return { ...size, massG: size.massG * factor };
  return size.by === 'base' ? { ...size, baseG: size.baseG * factor } : size;
}

/** What of a sheet decides how its fixed doses grow, and how full a plan that is said by weight is. */
type Scaled = Pick<
  Sheet,
  'pours' | 'pieces' | 'fills' | 'fillFraction' | 'mold' | 'secondMold' | 'leastMeltG'
>;

/** By how much what is melted for each pour grows where so many times as many cavities are filled. */
export function meltFactors(sheet: Scaled, factor: number): number[] {
  const factors = sheet.pours.map(() => factor);
  for (const { group, baseG } of jugsOf(sheet.pours)) {
    const nowG = meltOfFillings(baseG, sheet);
    const thenG = meltOfFillings(baseG * factor, { ...sheet, fills: sheet.fills * factor });
    for (const index of group) if (nowG > 0) factors[index] = thenG / nowG;
  }
  return factors;
}

/** Multiplies every fixed dose, brought to what can be counted, and leaves the number of pieces alone. */
export function scaleFixedDoses(plan: Plan, factors: readonly number[]): Plan {
  return {
    ...plan,
    pours: plan.pours.map((pour, index) => ({
      ...pour,
      doses: pour.doses.map((each) => scaleDose(each, factors[index] ?? 1)),
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
