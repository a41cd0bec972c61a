import type { Plan, Pour } from '../../core/plan/plan';

/** The plan with one of its pours changed. */
export function withPour(plan: Plan, pourIndex: number, change: (pour: Pour) => Pour): Plan {
  return {
    ...plan,
    pours: plan.pours.map((pour, index) => (index === pourIndex ? change(pour) : pour)),
  };
}
