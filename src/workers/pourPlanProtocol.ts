import type { LossScale, TeachFault } from '../core/heat/teach';
import type { Sheet } from '../core/plan/sheet';
import type { Result } from '../core/result';
import type { PourPlan } from '../core/schedule/pourPlan';
import type { PourRules } from '../core/schedule/pourRules';
import type { TeachRequest } from '../core/schedule/teachFrom';

/** What the page asks of the worker that makes pour plans. A new plan ends the one before. */
export type PourPlanRequest =
  | { ask: 'pour-plan'; key: string; sheet: Sheet; rules: PourRules }
  | { ask: 'cancel' }
  | { ask: 'teach'; sheet: Sheet; rules: PourRules; request: TeachRequest };

export type TeachResult = Result<Pick<LossScale, 'scale' | 'spread'> & Partial<LossScale>, TeachFault>;

/** What the worker answers. */
export type PourPlanAnswer =
  /** With everything in the middle: the ranges follow. */
  | { is: 'first'; key: string; pourPlan: PourPlan; of: number }
  | { is: 'progress'; key: string; done: number; of: number }
  | { is: 'whole'; key: string; pourPlan: PourPlan }
  | { is: 'fault'; key: string; reason: string }
  | { is: 'taught'; result: TeachResult };
