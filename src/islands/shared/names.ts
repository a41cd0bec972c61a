import type { Verdict } from '../../core/run/run';

/** What the codes of the core are called on the screen. */
export const VERDICT_NAMES: Record<Verdict, string> = {
  good: 'Good',
  fair: 'Fair',
  poor: 'Poor',
};
