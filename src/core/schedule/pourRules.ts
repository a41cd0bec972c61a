import type { ScheduleRules } from './bench';

/** What of the house rules decides when to melt, pour and wait. */
export type PourRules = ScheduleRules;
