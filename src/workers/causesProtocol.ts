import type { FaultCauses } from '../core/causes/causes';
import type { FaultSeen } from '../core/inspection/inspection';
import type { Run } from '../core/run/run';

/** A fault, and the round that it was seen in, from 0. */
export interface FaultOfRound {
  seen: FaultSeen;
  round: number;
}

/** What the page asks of the worker that looks for causes. */
export interface CausesRequest {
  run: Run;
  faults: readonly FaultOfRound[];
}

/** What it answers; null where the heat of the run can't be followed. */
export type CausesAnswer = FaultCauses[] | null;
