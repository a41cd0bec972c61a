import type { FaultCauses } from '../core/causes/causes';
import type { FaultOfRound } from '../core/inspection/inspection';
import type { Material } from '../core/materials/material';
import type { Run } from '../core/run/run';

/** What the page asks of the worker that looks for causes. */
export interface CausesRequest {
  run: Run;
  faults: readonly FaultOfRound[];
  /** What may be taken into the plan instead. */
  shelf: readonly Material[];
}

/** What it answers; null where the heat of the run can't be followed. */
export type CausesAnswer = FaultCauses[] | null;
