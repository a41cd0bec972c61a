import type { QuantityKind } from '../units/quantity';
import { writeQuantity } from '../units/writeQuantity';
import { type Dose, type Plan, retyped } from './plan';

const FIXED: ReadonlySet<QuantityKind> = new Set(['mass', 'volume', 'drops', 'blocks']);

/** True for a dose of a fixed amount, which does not follow the base by itself. */
export function isFixedDose({ means }: Dose): boolean {
  return means !== null && FIXED.has(means.kind);
}

/**
 * The same bar in another number: shares stay as they were typed, fixed doses are written anew in proportion.
 *
 * @param pieces a whole number of at least one
 */
export function scalePlan(plan: Plan, pieces: number): Plan {
  if (!(Number.isInteger(pieces) && pieces >= 1))
    throw new RangeError('pieces must be a whole number from 1');
  const factor = pieces / plan.pieces;
  const scaled = scaleFixedDoses(plan, factor);
  return {
    ...scaled,
    pieces,
    pours: scaled.pours.map((pour) =>
      pour.size.by === 'mass' ? { ...pour, size: { ...pour.size, massG: pour.size.massG * factor } } : pour,
    ),
  };
}

/** Multiplies every fixed dose, and leaves the number of pieces alone. */
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
  switch (means.kind) {
    case 'mass':
      return retyped(each, writeQuantity({ kind: 'mass', massG: means.massG * factor }));
    case 'volume':
      return retyped(each, writeQuantity({ kind: 'volume', volumeMl: means.volumeMl * factor }));
    case 'drops':
      return retyped(each, writeQuantity({ kind: 'drops', drops: means.drops * factor }));
    case 'blocks':
      return retyped(each, writeQuantity({ kind: 'blocks', blocks: means.blocks * factor }));
    default:
      return each;
  }
}
