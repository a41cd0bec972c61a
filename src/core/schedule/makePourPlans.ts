import type { Sheet } from '../plan/sheet';
import { lastOf, pourPlanInSteps } from './makePourPlan';
import type { PourPlan } from './pourPlan';
import type { PourRules } from './pourRules';
import { type ResourceCounts, resourcesFrom, resourcesOf } from './resources';

/** A run that is wanted, and when it may begin at the earliest, s. */
export interface WantedRun {
  sheet: Sheet;
  notBeforeS: number;
}

/** Its pour plan, and when its first action is, s by the same clock. */
export interface PlacedRun {
  beginsS: number;
  pourPlan: PourPlan;
}

/**
 * Pour plans of several runs that share makers, ovens, jugs and copies of molds. Each fits in between those before it in
 * the list, which it never moves; a jug is free for it once those before it are done with it. Rounds that a pour plan does not
 * place one by one bind nothing.
 *
 * @param counts one maker and one oven, unless it is said
 */
export function makePourPlans(
  runs: readonly WantedRun[],
  rules: PourRules,
  counts: Partial<ResourceCounts> = {},
  samples = 0,
): PlacedRun[] {
  const resources = resourcesOf(counts);
  return runs.map(({ sheet, notBeforeS }) => {
    const own = resourcesFrom(resources, notBeforeS);
    const { beginsS, tell } = lastOf(pourPlanInSteps(sheet, rules, samples, own));
    return { beginsS: beginsS + notBeforeS, pourPlan: tell() };
  });
}
