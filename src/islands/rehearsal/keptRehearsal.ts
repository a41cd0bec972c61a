import type { MishapKind } from '../../core/rehearsal/mishaps';
import type { Run } from '../../core/run/run';
import type { Setup } from './setup';

/** A rehearsal that is under way. */
export interface UnderWay {
  run: Run;
  setup: Setup;
  /** What went wrong already. */
  happened: readonly MishapKind[];
  /** What its clock shows, ms since the epoch. */
  atMs: number;
}

const keyOf = (planId: string) => `tallow.rehearsal.${planId}`;

/** Over a reload, in this tab alone; what is full keeps nothing. */
export function keepRehearsal(underWay: UnderWay): void {
  try {
    sessionStorage.setItem(keyOf(underWay.run.planId), JSON.stringify(underWay));
  } catch {
    forgetRehearsal(underWay.run.planId);
  }
}

export function forgetRehearsal(planId: string): void {
  sessionStorage.removeItem(keyOf(planId));
}

/** null where none is under way, or its plan is another by now. */
export function keptRehearsal({ planId, planVersion }: Run): UnderWay | null {
  try {
    const kept = JSON.parse(sessionStorage.getItem(keyOf(planId)) ?? 'null') as UnderWay | null;
    return kept?.run.planVersion === planVersion ? kept : null;
  } catch {
    return null;
  }
}
