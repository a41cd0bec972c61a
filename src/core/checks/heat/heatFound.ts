import type { Sheet } from '../../plan/sheet';
import type { PourPlan } from '../../schedule/pourPlan';
import type { PourRules } from '../../schedule/pourRules';
import type { Finding } from '../finding';
import { heatFindings } from './heatReview';
import { lateFindings } from './lateFindings';
import { withHeat } from './withHeat';

/** What a pour plan tells against its plan, with what a clock needs to tell more: little enough to be kept for many plans. */
export interface HeatFound extends Pick<PourPlan, 'grains' | 'done'> {
  heat: Finding[];
}

export function heatFound(sheet: Sheet, pourPlan: PourPlan, rules: PourRules): HeatFound {
  const { grains, done } = pourPlan;
  return { heat: heatFindings({ sheet, pourPlan, rules }), grains, done };
}

/**
 * What was found about a plan, with what its pour plan tells.
 *
 * @param now the workshop's own clock, 2026-05-02T09:30; null where there is none, as on a printed sheet
 */
export function withHeatFound(
  findings: readonly Finding[],
  sheet: Sheet,
  { heat, grains, done }: HeatFound,
  now: string | null,
): Finding[] {
  return withHeat(findings, [...heat, ...lateFindings({ sheet, pourPlan: { done }, now })], grains);
}
