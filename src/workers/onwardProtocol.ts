import type { HeatOnward } from '../core/run/heatOnward';
import type { RunSoFar } from '../core/run/run';
import type { JugReading } from '../core/run/said';

/** What the bench asks of the worker that follows heat. */
export interface OnwardRequest {
  /** Which question it is; its answer has the same. */
  number: number;
  runId: string;
  run: RunSoFar;
  /** What a thermometer showed of jugs that it stood in, besides what is among the events. */
  readings: readonly JugReading[];
  nowMs: number;
}

/** What the worker answers; nothing where heat can't be followed. */
export interface OnwardAnswer {
  number: number;
  runId: string;
  heat: HeatOnward | null;
}
