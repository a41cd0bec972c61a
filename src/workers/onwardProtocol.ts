import type { HeatOnward } from '../core/run/heatOnward';
import type { RunSoFar } from '../core/run/run';

/** What the bench asks of the worker that follows heat. */
export interface OnwardRequest {
  /** Which question it is; its answer has the same. */
  number: number;
  run: RunSoFar;
  nowMs: number;
}

/** What the worker answers; nothing where heat can't be followed. */
export interface OnwardAnswer {
  number: number;
  heat: HeatOnward | null;
}
