import { type RackCall, rackCall } from '../core/rack/rackCall';
import type { RackRound } from '../core/rack/rackRounds';
import { roundsOnRack } from '../core/rack/roundsOnRack';
import { progress } from '../core/run/progress';
import type { Run } from '../core/run/run';
import type { BrokenRecord } from '../db/readRecord';
import type { Workshop } from './openWorkshop';

/** A run on the rack, with its rounds that are there. */
export interface RunOnRack {
  run: Run;
  rounds: RackRound[];
}

/** More at once nobody hears. */
const MOST_CALLS = 50;

/**
 * Runs with rounds on the rack: open ones that are poured, and finished ones whose bars are not put away.
 *
 * @param open those on the bench, where they were read already
 */
export function rackRuns(
  { runs, now }: Workshop,
  open = runs.open(),
): { items: RunOnRack[]; broken: BrokenRecord[] } {
  const nowMs = Date.parse(now());
  const finished = runs.onRack();
  const items = [...open.items, ...finished.items]
    .map((run) => ({ run, rounds: roundsOnRack(run, progress(run), nowMs) }))
    .filter(({ rounds }) => rounds.length > 0);
  return { items, broken: [...open.broken, ...finished.broken] };
}

/** What calls to the rack, due or to come, the soonest first. */
export function rackCalls(workshop: Workshop): { nowMs: number; calls: RackCall[] } {
  const nowMs = Date.parse(workshop.now());
  const calls = rackRuns(workshop).items.flatMap(({ run, rounds }) => {
    const so = progress(run);
    return rounds.flatMap((round) => rackCall(run, so, round, nowMs) ?? []);
  });
  return { nowMs, calls: calls.sort((a, b) => a.dueMs - b.dueMs).slice(0, MOST_CALLS) };
}
