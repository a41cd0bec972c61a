import type { Mishap } from '../core/rehearsal/mishaps';
import type { Rehearsed } from '../core/rehearsal/rehearsed';
import type { Run } from '../core/run/run';

export interface RehearsalRequest {
  run: Run;
  mishaps: readonly Mishap[];
}

/** null where it can't be told. */
export type RehearsalAnswer = Rehearsed | null;
