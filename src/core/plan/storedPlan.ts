import type { Plan } from './plan';

/** One version of a plan, as a workshop keeps it. */
export interface StoredPlan {
  id: string;
  version: number;
  latestVersion: number;
  /** Counts the saves of the whole plan, over all its versions. */
  revision: number;
  changedAt: string;
  /** A run has used this version, so it stays as it is. */
  used: boolean;
  plan: Plan;
}
