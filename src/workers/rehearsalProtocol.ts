import type { Mishap } from '../core/rehearsal/mishaps';
import type { Outcome } from '../core/run/outcome';
import type { Run } from '../core/run/run';

export interface RehearsalRequest {
  run: Run;
  mishaps: readonly Mishap[];
}

/** null where it can't be told. */
export type RehearsalAnswer = Outcome | null;
