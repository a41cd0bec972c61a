import type { Sheet } from '../plan/sheet';
import type { PourPlan } from './pourPlan';
import type { PourRules } from './pourRules';

/** What a pour plan depends on, as text: names, notes and the clock are not in it. */
export function pourPlanKey(sheet: Sheet, rules: PourRules): string {
  const { pourCeiling, freezer, jugs, headspaceFraction, cutStepG, meltIn, microwaveW, wrap } = rules;
  return JSON.stringify([
    { ...sheet, planName: '', note: '', making: { ...sheet.making, clock: null } },
    { pourCeiling, freezer, jugs, headspaceFraction, cutStepG, meltIn, microwaveW, wrap },
  ]);
}

/** The last whole pour plans by their key, so that nothing is computed twice. */
export interface KeptPourPlans {
  find(key: string): PourPlan | undefined;
  keep(key: string, pourPlan: PourPlan): void;
}

export function keptPourPlans(most = 40): KeptPourPlans {
  const kept = new Map<string, PourPlan>();
  return {
    find(key) {
      const found = kept.get(key);
      if (found) {
        kept.delete(key);
        kept.set(key, found);
      }
      return found;
    },
    keep(key, pourPlan) {
      kept.delete(key);
      kept.set(key, pourPlan);
      const [oldest] = kept.keys();
      if (kept.size > most && oldest !== undefined) kept.delete(oldest);
    },
  };
}
