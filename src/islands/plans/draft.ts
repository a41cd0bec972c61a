import type { Plan } from '../../core/plan/plan';

/** A plan that could not be saved before the page was left, with the revision it was made from. */
export interface Draft {
  plan: Plan;
  revision: number;
}
