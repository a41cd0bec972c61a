import type { Dare } from '../core/rehearsal/dares';
import type { Run } from '../core/run/run';
import type { Snapshot } from '../core/run/snapshot';
import { practiceFile, practiceRules } from '../words/en/rehearsal/practicePlan';
import type { Workshop } from './openWorkshop';
import { runText } from './runJson';
import { snapshotOf, snapshotOfFile } from './snapshots';

/** A rehearsal as JSON. */
export interface RehearsalText {
  planName: string;
  run: string;
}

/** Jugs of a rehearsal: those of the workshop, or only the smallest of them. */
export type RehearsalJugs = 'all' | 'smallest';

/**
 * A run of a plan's newest version that is made nowhere: nothing of it is kept.
 *
 * @throws Problem as `snapshotOf`
 */
export function rehearsalOf(workshop: Workshop, planId: string, jugs: RehearsalJugs): Run {
  const rules = workshop.rules();
  const smallest = rules.jugs.toSorted((a, b) => a.holdsMl - b.holdsMl).slice(0, 1);
  const { version, snapshot } = snapshotOf(workshop, planId, {
    rules: jugs === 'all' ? rules : { ...rules, jugs: smallest },
    shelf: null,
  });
  return nowhere(workshop.now(), planId, version, snapshot);
}

/** A run in which a mistake is practised, of a plan that ships with the application. */
export function practiceOf(dare: Dare, at: string): Run {
  const snapshot = snapshotOfFile(practiceFile(dare), { rules: practiceRules(dare), shelf: null });
  return nowhere(at, `practice-${dare}`, 1, snapshot);
}

export function rehearsalTextOf(run: Run): RehearsalText {
  return { planName: run.snapshot.sheet.planName, run: runText(run) };
}

function nowhere(startedAt: string, planId: string, planVersion: number, snapshot: Snapshot): Run {
  return {
    ...{ id: `rehearsal-${planId}`, planId, planVersion, startedAt, code: null },
    ...{ snapshot, events: [] },
  };
}
