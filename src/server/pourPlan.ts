import type { HouseRules } from '../core/houseRules/houseRules';
import type { Sheet } from '../core/plan/sheet';
import { keptPourPlans, pourPlanKey } from '../core/schedule/keptPourPlans';
import { pourPlanInSteps } from '../core/schedule/makePourPlan';
import type { PourPlan } from '../core/schedule/pourPlan';

const kept = keptPourPlans();

/** The pour plan of a sheet; between its runs other requests are served. */
export async function pourPlanOf(sheet: Sheet, rules: HouseRules): Promise<PourPlan> {
  const key = pourPlanKey(sheet, rules);
  let found = kept.find(key);
  if (found) return found;
  for (const { pourPlan } of pourPlanInSteps(sheet, rules)) {
    found = pourPlan;
    await new Promise((resolve) => setImmediate(resolve));
  }
  if (!found) throw new RangeError('a pour plan without a step');
  kept.keep(key, found);
  return found;
}
