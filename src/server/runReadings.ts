import { type KeptReadings, thinnedReadings } from '../core/run/keptReadings';
import type { sentReadingsSchema } from '../core/run/keptReadingsSchema';
import type { z } from '../core/zod';
import type { Workshop } from './openWorkshop';
import { notFound, Problem } from './problem';

export type SentRunReadings = z.infer<typeof sentReadingsSchema>;

/**
 * Keeps what an instrument showed while a run was made, thinned; what was kept already, from another screen, is not kept
 * again.
 *
 * @throws Problem 404, or 409 for a run that has ended
 */
export function keepReadings(
  { db, runs, readings }: Workshop,
  runId: string,
  { instrument, quantity, taskId, points }: SentRunReadings,
): { kept: number } {
  const keep = db.transaction(() => {
    const ending = runs.ending(runId);
    if (ending === undefined) throw notFound('run', runId);
    if (ending !== null)
      throw new Problem(409, 'run-has-ended', 'This run has ended, and what it holds stays as it is.');
    const last = readings.lastOf(runId, instrument, quantity);
    const inOrder = points
      .map(({ at, value }) => ({ atMs: Date.parse(at), value }))
      .toSorted((a, b) => a.atMs - b.atMs);
    const kept = thinnedReadings(inOrder, last, quantity);
    if (kept.length > 0) readings.insert(runId, { instrument, quantity, taskId, points: kept });
    return { kept: kept.length };
  });
  return keep.immediate();
}

/** In order of time. @throws Problem 404 */
export function readingsOfRun({ runs, readings }: Workshop, runId: string): KeptReadings[] {
  if (runs.ending(runId) === undefined) throw notFound('run', runId);
  return readings.ofRun(runId);
}
