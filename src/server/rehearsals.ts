import type { Dare } from '../core/rehearsal/dares';
import type { Run } from '../core/run/run';
import type { Snapshot } from '../core/run/snapshot';
import { practiceFile, practiceRules } from '../words/en/rehearsal/practicePlan';
import { checkContext } from './checkContext';
import type { Workshop } from './openWorkshop';
import { snapshotOf, snapshotOfFile } from './snapshots';

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
  return nowhere(workshop, planId, version, snapshot);
}

/** A run in which a mistake is practised, of a plan that ships with the application. */
export async function practiceOf(workshop: Workshop, dare: Dare): Promise<Run> {
  const context = { rules: practiceRules(dare), shelf: null };
  return nowhere(workshop, `practice-${dare}`, 1, await snapshotOfFile(practiceFile(dare), context));
}

function nowhere(workshop: Workshop, planId: string, planVersion: number, snapshot: Snapshot): Run {
  return {
    ...{ id: `rehearsal-${planId}`, planId, planVersion, startedAt: workshop.now(), code: null },
    ...{ snapshot, events: [] },
  };
}
