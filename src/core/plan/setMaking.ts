import { type Making, USUAL_MAKING, type When } from './making';
import type { Plan, Pour } from './plan';

/** What is said anew of a pour's moment and heat: null leaves it to the pour plan, undefined as it is. */
export type WhenEdit = { [Key in keyof When]?: When[Key] | null };

export function withWhen(plan: Plan, pourIndex: number, { afterMin, atC }: WhenEdit): Plan {
  return {
    ...plan,
    pours: plan.pours.map((pour, index): Pour => {
      if (index !== pourIndex) return pour;
      const { when, ...rest } = pour;
      const said: When = {
        ...kept('afterMin', afterMin === undefined ? when?.afterMin : afterMin),
        ...kept('atC', atC === undefined ? when?.atC : atC),
      };
      return Object.keys(said).length > 0 ? { ...rest, when: said } : rest;
    }),
  };
}

function kept<Key extends keyof When>(key: Key, value: number | null | undefined): When {
  return value === null || value === undefined ? {} : { [key]: value };
}

export function withMaking(plan: Plan, change: Partial<Making>): Plan {
  return { ...plan, making: { ...(plan.making ?? USUAL_MAKING), ...change } };
}

export function withFreezer(plan: Plan, freezerMin: number | null): Plan {
  return withMaking(plan, { freezerMin });
}
