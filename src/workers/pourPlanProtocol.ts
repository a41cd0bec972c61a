import type { Finding } from '../core/checks/finding';
import type { LossScale, TeachFault } from '../core/heat/teach';
import type { Sheet } from '../core/plan/sheet';
import type { Result } from '../core/result';
import type { PourPlan } from '../core/schedule/pourPlan';
import type { PourRules } from '../core/schedule/pourRules';
import type { TeachRequest } from '../core/schedule/teachFrom';

/** What the page asks of the worker that makes pour plans. A new plan ends the one before. */
export type PourPlanRequest =
  | { kind: 'pour-plan'; key: string; sheet: Sheet; rules: PourRules }
  | { kind: 'cancel' }
  | { kind: 'teach'; sheet: Sheet; rules: PourRules; request: TeachRequest };

export type TeachResult = Result<Pick<LossScale, 'scale' | 'spread'> & Partial<LossScale>, TeachFault>;

/** A pour plan with what heat tells against the plan; what the clock tells is the page's to say. */
export interface ToldPourPlan {
  pourPlan: PourPlan;
  heat: Finding[];
}

/** What the worker answers. */
export type PourPlanAnswer =
  /** With everything in the middle: the ranges follow. */
  | { kind: 'first'; key: string; told: ToldPourPlan; of: number }
  | { kind: 'progress'; key: string; done: number; of: number }
  | { kind: 'whole'; key: string; told: ToldPourPlan }
  | { kind: 'fault'; key: string; reason: string }
  | { kind: 'taught'; result: TeachResult };
