import type { Molds } from '../molds/filled';
import type { Packed } from './packed';
import { type Plan, retyped } from './plan';
import { scalePlan } from './scalePlan';
import type { Sheet } from './sheet';

/** What is tried of a plan, which stays as it is. */
export interface Trial {
  /** null for as many as it makes. */
  pieces: number | null;
  /** The id of another base, by the id of the one that it takes the place of. */
  bases: ReadonlyMap<string, string>;
  /** What a dose says instead, by its id: of the pieces that are tried. */
  doses: ReadonlyMap<string, string>;
  /** null for what it is wrapped in. */
  packaging: readonly Packed[] | null;
}

export const NOTHING_TRIED: Trial = { pieces: null, bases: new Map(), doses: new Map(), packaging: null };

export function isTried({ pieces, bases, doses, packaging }: Trial): boolean {
  return pieces !== null || bases.size > 0 || doses.size > 0 || packaging !== null;
}

/**
 * The plan as it is tried. What the trial names and the plan has no more is passed over.
 *
 * @param molds the plan's
 * @param sheet of the plan as it is
 */
export function triedPlan(plan: Plan, trial: Trial, molds: Molds, sheet: Sheet): Plan {
  const scaled = trial.pieces === null ? plan : scalePlan(plan, trial.pieces, molds, sheet);
  const { packaging, ...rest } = scaled;
  const packed = trial.packaging ?? packaging ?? [];
  return {
    ...rest,
    ...(packed.length > 0 ? { packaging: [...packed] } : {}),
    pours: scaled.pours.map((pour) => ({
      ...pour,
      baseId: trial.bases.get(pour.baseId) ?? pour.baseId,
      doses: pour.doses.map((dose) => {
        const text = trial.doses.get(dose.id);
        return text === undefined ? dose : retyped(dose, text);
      }),
    })),
  };
}
