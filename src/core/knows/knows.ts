import type { MeasureKind } from '../run/measures';
import type { BiasAndSpread } from './biasAndSpread';

/** What a run measured of what was predicted. */
export interface MeasuredRun {
  runId: string;
  predicted: number;
  measured: number;
}

/** One kind of prediction beside what was measured here, the last runs first. */
export interface Known {
  kind: MeasureKind;
  off: BiasAndSpread;
  runs: MeasuredRun[];
}

/** By what faults are counted. */
export const FAULTS_BY = ['fault', 'plan', 'base', 'mold', 'month'] as const;
export type FaultsBy = (typeof FAULTS_BY)[number];

/** How many runs have something, how many of those any fault, and how many faults in all. */
export interface FaultsOf {
  name: string;
  runs: number;
  withFaults: number;
  faults: number;
}

/** What finished runs say all together. */
export interface Knows {
  finished: number;
  /** Of them, those that have been read. */
  indexed: number;
  measures: Known[];
  faults: Record<FaultsBy, FaultsOf[]>;
}
