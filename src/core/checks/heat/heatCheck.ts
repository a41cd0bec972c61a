import type { Sheet } from '../../plan/sheet';
import type { PourPlan } from '../../schedule/pourPlan';
import type { PourRules } from '../../schedule/pourRules';
import type { Found } from '../finding';

/** What a check of the pour plan looks at. */
export interface HeatContext {
  sheet: Sheet;
  pourPlan: PourPlan;
  rules: PourRules;
}

/** One check of the pour plan. */
export type HeatCheck = (context: HeatContext) => Found[];
