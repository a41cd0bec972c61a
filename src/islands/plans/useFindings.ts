import { useMemo } from 'react';
import { allFindings } from '../../core/checks/allFindings';
import type { Finding } from '../../core/checks/finding';
import type { HouseRules } from '../../core/houseRules/houseRules';
import type { Sheet } from '../../core/plan/sheet';
import type { PourPlanView } from '../pourPlan/usePourPlan';
import { clockNow } from '../shared/today';

/** What the sheet tells, with what the pour plan does; the one of the plan as it was waits for the new one. */
export function useFindings(
  ofSheet: Finding[],
  sheet: Sheet | null,
  view: PourPlanView,
  rules: HouseRules,
): Finding[] {
  const { pourPlan, isCurrent } = view;
  return useMemo(() => {
    if (!sheet || !pourPlan || !isCurrent) return ofSheet;
    return allFindings({ sheet, findings: ofSheet }, pourPlan, rules, clockNow(sheet.making.clock?.zone));
  }, [ofSheet, sheet, pourPlan, isCurrent, rules]);
}
