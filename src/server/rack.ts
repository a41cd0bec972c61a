import { roundsOnRack } from '../core/rack/roundsOnRack';
import { progress } from '../core/run/progress';
import type { Run } from '../core/run/run';
import type { BrokenRecord } from '../db/readRecord';
import type { Workshop } from './openWorkshop';

/** Runs with rounds on the rack: open ones that are poured, and finished ones whose bars are not put away. */
export function rackRuns({ runs, now }: Workshop): { items: Run[]; broken: BrokenRecord[] } {
  const nowMs = Date.parse(now());
  const [open, finished] = [runs.open(), runs.onRack()];
  const onRack = open.items.filter((run) => roundsOnRack(run, progress(run), nowMs).length > 0);
  return { items: [...onRack, ...finished.items], broken: [...open.broken, ...finished.broken] };
}
