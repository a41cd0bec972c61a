import type { Run } from '../core/run/run';
import { checkContext } from './checkContext';
import type { Workshop } from './openWorkshop';
import { snapshotOf } from './snapshots';

/** Jugs of a rehearsal: those of the workshop, or only the smallest of them. */
export type RehearsalJugs = 'all' | 'smallest';

/**
 * A run of a plan's newest version that is made nowhere: nothing of it is kept.
 *
 * @throws Problem as `snapshotOf`
 */
export async function rehearsalOf(workshop: Workshop, planId: string, jugs: RehearsalJugs): Promise<Run> {
  const context = checkContext(workshop);
  const smallest = context.rules.jugs.toSorted((a, b) => a.holdsMl - b.holdsMl).slice(0, 1);
  const rules = jugs === 'all' ? context.rules : { ...context.rules, jugs: smallest };
  const { version, snapshot } = await snapshotOf(workshop, planId, { rules, shelf: null });
  return {
    ...{ id: `rehearsal-${planId}`, planId, planVersion: version, startedAt: workshop.now(), code: null },
    ...{ snapshot, events: [] },
  };
}
