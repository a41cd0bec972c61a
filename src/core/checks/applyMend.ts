import { dose, type Plan } from '../plan/plan';
import type { DoseEdit } from './finding';

/** The plan with a finding's mend applied. Edits name doses by their place in the plan as it was checked. */
export function applyMend(plan: Plan, edits: readonly DoseEdit[]): Plan {
  return {
    ...plan,
    pours: plan.pours.map((pour, pourIndex) => ({
      ...pour,
      doses: pour.doses.flatMap((each, doseIndex) => {
        const edit = edits.find((one) => one.pourIndex === pourIndex && one.doseIndex === doseIndex);
        if (edit === undefined) return [each];
        return edit.edit === 'remove-dose' ? [] : [dose(each.materialId, edit.text)];
      }),
    })),
  };
}
