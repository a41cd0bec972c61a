import type { HouseRules } from '../houseRules/houseRules';
import type { PourPlan } from '../schedule/pourPlan';
import type { Finding } from './finding';
import { heatFound, withHeatFound } from './heat/heatFound';
import type { Review } from './review';

/**
 * What was found about a plan and about its pour plan together: what the workspace, the printed sheet, the endpoints and
 * the start of a run all show.
 *
 * @param now the workshop's own clock, 2026-05-02T09:30; null where there is none, as on a printed sheet
 */
export function allFindings(
  { sheet, findings }: Review,
  pourPlan: PourPlan | null,
  rules: HouseRules,
  now: string | null,
): Finding[] {
  if (!sheet || !pourPlan) return findings;
  return withHeatFound(findings, sheet, heatFound(sheet, pourPlan, rules), now);
}
