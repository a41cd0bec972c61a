import type { Dare } from '../core/rehearsal/dares';
import { compute } from './compute/threads';
import type { Workshop } from './openWorkshop';
import { type RehearsalJugs, type RehearsalText, rehearsalOf, rehearsalTextOf } from './rehearsals';
import { runText } from './runJson';
import { runsReady } from './runsReady';
import { startRun } from './startRun';

/**
 * Starts a run in a thread of its own: what it rests on may be megabytes, which are worked out, written down and kept.
 *
 * @returns the run as JSON
 * @throws Problem as `startRun`; 503 when it takes too long
 */
export async function startedRun(
  workshop: Workshop,
  id: string,
  planId: string,
  trialPieces: number | null,
): Promise<string> {
  const { folder } = workshop;
  if (folder === null) return runText(startRun(workshop, id, planId, trialPieces));
  const run = await compute('startRun', { folder, at: workshop.now(), id, planId, trialPieces });
  await runsReady(workshop, [id]);
  return run;
}

/** @throws Problem as `rehearsalOf`; 503 when it takes too long */
export async function rehearsalText(
  workshop: Workshop,
  planId: string,
  jugs: RehearsalJugs,
): Promise<RehearsalText> {
  const { folder } = workshop;
  if (folder === null) return rehearsalTextOf(rehearsalOf(workshop, planId, jugs));
  return await compute('rehearsal', { folder, at: workshop.now(), planId, jugs });
}

/** @throws Problem 503 when it takes too long */
export async function practiceText({ now }: Workshop, dare: Dare): Promise<string> {
  return await compute('practice', { dare, at: now() });
}
