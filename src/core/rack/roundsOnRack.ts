import type { HeatOnward } from '../run/heatOnward';
import { onward } from '../run/onward';
import type { Progress } from '../run/progress';
import type { Run } from '../run/run';
import { type RackRound, rackRounds } from './rackRounds';

/**
 * Rounds of a run on the rack, with their times on from what has happened.
 *
 * @param heat null where it is not followed: what sets takes as long as was planned then
 */
export function roundsOnRack(
  run: Run,
  so: Progress,
  nowMs: number,
  heat: HeatOnward | null = null,
): RackRound[] {
  // Most runs at the bench are not so far, and times take a while.
  if (!hasPouredRound(so)) return [];
  return rackRounds(so, onward(so, heat, Date.parse(run.startedAt), nowMs));
}

function hasPouredRound({ tasks }: Progress): boolean {
  const open = new Set(
    tasks.filter(({ kind, doneAt }) => kind === 'pour' && doneAt === null).map(({ round }) => round),
  );
  return tasks.some(({ kind, round }) => kind === 'pour' && !open.has(round));
}
