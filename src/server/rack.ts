import { type RackCall, rackCall } from '../core/rack/rackCall';
import type { RackRound } from '../core/rack/rackRounds';
import { roundsOnRack } from '../core/rack/roundsOnRack';
import { progress } from '../core/run/progress';
import type { Run } from '../core/run/run';
import type { BrokenRecord } from '../db/readRecord';
import type { Workshop } from './openWorkshop';
import { turnWhenLong } from './turn';

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
export async function rackRuns(
  { runs, now }: Workshop,
  open = runs.open(),
): Promise<{ items: RunOnRack[]; broken: BrokenRecord[] }> {
  const nowMs = Date.parse(now());
  const finished: Run[] = [];
  const broken = [...open.broken];
  for (const { id } of runs.onRack()) {
    await turnWhenLong();
    const read = runs.read(id);
    if (read?.success) finished.push(read.data);
    else if (read) broken.push(read.error);
  }
  const items: RunOnRack[] = [];
  for (const run of [...open.items, ...finished]) {
    await turnWhenLong();
    const rounds = roundsOnRack(run, progress(run), nowMs);
    if (rounds.length > 0) items.push({ run, rounds });
  }
  return { items, broken };
}

/** What calls to the rack, due or to come, the soonest first. */
export async function rackCalls(workshop: Workshop): Promise<{ nowMs: number; calls: RackCall[] }> {
  const nowMs = Date.parse(workshop.now());
  const calls: RackCall[] = [];
  for (const { run, rounds } of (await rackRuns(workshop)).items) {
    await turnWhenLong();
    const so = progress(run);
    calls.push(...rounds.flatMap((round) => rackCall(run, so, round, nowMs) ?? []));
  }
  return { nowMs, calls: calls.sort((a, b) => a.dueMs - b.dueMs).slice(0, MOST_CALLS) };
}
