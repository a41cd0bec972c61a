import type { Mold } from '../molds/mold';
import { NO_MOLD_ID } from '../molds/noMold';
import type { UnitSystem } from '../units/showQuantity';
import type { Batch } from './batch';
import type { Plan } from './plan';
import type { Sheet } from './sheet';
import { batchFrom } from './withBatch';

/**
 * A plan in another mold, or in none: it is said by its weight then, as it comes to now.
 *
 * @param mold null for none
 * @param sheet of the plan as it is; without one nothing says what it comes to, and it stays as it is
 */
export function intoMold(
  plan: Plan,
  mold: Pick<Mold, 'id' | 'usualFillFraction'> | null,
  sheet: Sheet | null,
  system: UnitSystem,
): Plan {
  const { secondMoldId, ...rest } = plan;
  if (!mold) {
    const batch = plan.batch ?? (sheet && batchFrom(sheet, 'base', system));
    if (!batch) return plan;
    return { ...rest, ...unmolded(batch) };
  }
  const second = secondMoldId === undefined || secondMoldId === mold.id ? {} : { secondMoldId };
  const fill = plan.moldId === NO_MOLD_ID ? { fillFraction: mold.usualFillFraction } : {};
  return { ...rest, ...second, ...fill, moldId: mold.id };
}

/** What a plan without a mold says of how much it makes. */
export function unmolded(
  batch: Omit<Batch, 'gives'>,
): Pick<Plan, 'moldId' | 'pieces' | 'fillFraction' | 'batch'> {
  return { moldId: NO_MOLD_ID, pieces: 1, fillFraction: 1, batch: { ...batch, gives: 'pieces' } };
}
