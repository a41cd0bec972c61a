import type { Sheet } from '../../plan/sheet';
import type { PourPlan } from '../../schedule/pourPlan';
import type { PourRules } from '../../schedule/pourRules';
import type { Found } from '../finding';

/** What a check of the pour plan looks at. */
export interface HeatContext {
  sheet: Sheet;
  pourPlan: PourPlan;
  rules: PourRules;
  /** The workshop's own clock, 2026-05-02T09:30; null where there is none, as on a printed sheet. */
  now: string | null;
}

/** One check of the pour plan. */
export type HeatCheck = (context: HeatContext) => Found[];
