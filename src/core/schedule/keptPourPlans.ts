import type { Sheet } from '../plan/sheet';
import type { PourPlan } from './pourPlan';
import type { PourRules } from './pourRules';

/** What a pour plan depends on, as text: names, notes and the clock are not in it. */
export function pourPlanKey(sheet: Sheet, rules: PourRules): string {
  const { pourCeiling, freezer, jugs, headspaceFraction, cutStepG, meltIn, microwaveW, wrap, spritz } = rules;
  // One rule left out, and the plan of another rule would be taken for this one's.
  const all: { [Rule in keyof PourRules]: PourRules[Rule] } = {
    pourCeiling,
    freezer,
    jugs,
    headspaceFraction,
    cutStepG,
    meltIn,
    microwaveW,
    wrap,
    spritz,
  };
  return JSON.stringify([
    { ...sheet, planName: '', note: '', making: { ...sheet.making, clock: null } },
    all,
  ]);
}

/** The last whole pour plans by their key, with what was made of them, so that nothing is computed twice. */
export interface KeptPourPlans<Kept> {
  find(key: string): Kept | undefined;
  keep(key: string, pourPlan: Kept): void;
}

/**
 * @param most so many are kept, or so much by what each weighs; what was asked for longest ago goes first, and what
 *   weighs more than all may is not kept
 * @param weightOf one each, where it is left out
 */
export function keptPourPlans<Kept = PourPlan>(
  most = 40,
  weightOf: (kept: Kept) => number = () => 1,
): KeptPourPlans<Kept> {
  const kept = new Map<string, Kept>();
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
      let weight = [...kept.values()].reduce((sum, each) => sum + weightOf(each), 0);
      for (const [oldest, each] of kept) {
        if (weight <= most) break;
        kept.delete(oldest);
        weight -= weightOf(each);
      }
    },
  };
}
