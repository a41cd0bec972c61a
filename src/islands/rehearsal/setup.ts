import type { Dare } from '../../core/rehearsal/dares';
import type { MishapKind } from '../../core/rehearsal/mishaps';

export const SPEEDS = [1, 10, 60] as const;
export type Speed = (typeof SPEEDS)[number];

/** How a rehearsal is to be. */
export interface Setup {
  dare: Dare | null;
  mishaps: readonly MishapKind[];
  /** The same mishaps happen at the same places for the same number. */
  seed: number;
  speed: Speed;
}

export const USUAL_SETUP: Setup = { dare: null, mishaps: [], seed: 1, speed: 10 };
export const SEED = { unit: '', least: 1, most: 9999, whole: true };

/** Where a rehearsal was begun. */
export interface Way {
  href: string;
  label: string;
}
