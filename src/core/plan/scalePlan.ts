import { fillsFor } from '../molds/bars';
import type { Mold } from '../molds/mold';
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
 * @param mold the plan's: doses follow the cavities that are filled
 */
export function scalePlan(plan: Plan, pieces: number, mold: Mold): Plan {
  if (!(Number.isInteger(pieces) && pieces >= 1))
    throw new RangeError('pieces must be a whole number from 1');
  const factor = fillsFor(pieces, mold) / fillsFor(plan.pieces, mold);
  const scaled = scaleFixedDoses(plan, factor);
  return {
    ...scaled,
    pieces,
    pours: scaled.pours.map((pour) =>
      pour.size.by === 'mass' ? { ...pour, size: { ...pour.size, massG: pour.size.massG * factor } } : pour,
    ),
  };
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
  switch (means.kind) {
    case 'mass':
      return retyped(each, writeQuantity({ kind: 'mass', massG: means.massG * factor }));
    case 'volume':
      return retyped(each, writeQuantity({ kind: 'volume', volumeMl: means.volumeMl * factor }));
    case 'drops':
      return retyped(
        each,
        writeQuantity({ kind: 'drops', drops: Math.max(1, Math.round(means.drops * factor)) }),
      );
    case 'blocks':
      return retyped(each, writeQuantity({ kind: 'blocks', blocks: eighths(means.blocks * factor) }));
    default:
      return each;
  }
}

/** A block is cut to an eighth at the finest. Our own assumption. */
function eighths(blocks: number): number {
  return Math.max(1, Math.round(blocks * 8)) / 8;
}
