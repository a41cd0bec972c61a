import type { HouseRules } from '../../houseRules/houseRules';
import type { Sheet } from '../../plan/sheet';
import type { PourPlan } from '../../pourPlan/pourPlan';
import type { Showing } from '../../units/showQuantity';
import type { Finding, Said } from '../finding';

/** What a check of the pour plan looks at. */
export interface HeatContext {
  sheet: Sheet;
  pourPlan: PourPlan;
  rules: HouseRules;
  /** The workshop's own clock, 2026-05-02T09:30; null where there is none, as on a printed sheet. */
  now: string | null;
}

/** One check of the pour plan. */
export interface HeatCheck {
  code: string;
  run(context: HeatContext): Finding[];
  say(finding: Finding, showing: Showing): Said;
}

/** A finding without doses, with what it always has. */
export function heatFinding(
  over: Pick<Finding, 'code' | 'severity' | 'pourIndex' | 'figures'> & Partial<Finding>,
): Finding {
  return { doseIndexes: [], about: '', assumed: false, mend: null, ...over };
}
