import type { Verdict } from '../../../core/run/run';

/** What the verdicts on a run are called. */
export const VERDICT_NAMES: Record<Verdict, string> = {
  good: 'Good',
  fair: 'Fair',
  poor: 'Poor',
};
