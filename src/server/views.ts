import { type Review, reviewPlan } from '../core/checks/review';
import type { Plan, PlanFile } from '../core/plan/plan';
import type { StoredPlan } from '../core/plan/storedPlan';
import { checkContext } from './checkContext';
import { planFileOf } from './plans';
import type { Workshop } from './workshop';

/** A plan with what a card or a printed page shows of it. */
export interface PlanView extends Review {
  stored: StoredPlan;
  file: PlanFile;
}

export function planView(workshop: Workshop, stored: StoredPlan, context = checkContext(workshop)): PlanView {
  const file = planFileOf(workshop, stored.plan, stored.id);
  return { stored, file, ...reviewPlan(file, context) };
}

/** The plan that a new one starts from, in the first mold and base of the workshop; null while one is missing. */
export function firstPlan({ molds, materials, houseRules }: Workshop): Plan | null {
  const mold = molds.all()[0]?.item;
  const base = materials.all().find(({ item }) => item.kind === 'base' && !item.archived)?.item;
  if (!mold || !base) return null;
  return {
    name: '',
    use: 'body',
    moldId: mold.id,
    pieces: mold.cavities,
    fillFraction: mold.usualFillFraction,
    jugLossFraction: houseRules.read().item.jugLossFraction,
    pours: [{ baseId: base.id, size: { by: 'parts', parts: 1 }, doses: [] }],
    note: '',
  };
}
