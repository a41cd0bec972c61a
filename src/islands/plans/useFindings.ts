import { useMemo } from 'react';
import type { Finding } from '../../core/checks/finding';
import { lateFindings } from '../../core/checks/heat/lateFindings';
import { withHeat } from '../../core/checks/heat/withHeat';
import type { Sheet } from '../../core/plan/sheet';
import type { PourPlanView } from '../pourPlan/usePourPlan';
import { clockNow } from '../shared/today';

/** What the sheet tells, with what the pour plan does; the one of the plan as it was waits for the new one. */
export function useFindings(ofSheet: Finding[], sheet: Sheet | null, view: PourPlanView): Finding[] {
  const { pourPlan, heat, isCurrent } = view;
  return useMemo(() => {
    if (!sheet || !pourPlan || !isCurrent) return ofSheet;
    const late = lateFindings({ sheet, pourPlan, now: clockNow(sheet.making.clock?.zone) });
    return withHeat(ofSheet, [...heat, ...late], pourPlan.grains);
  }, [ofSheet, sheet, pourPlan, heat, isCurrent]);
}
