import { type Outcome, outcomeOf } from '../run/outcome';
import type { Run } from '../run/run';
import type { Mishap } from './mishaps';

/** What would have come of a rehearsal, in the room that it really was. */
export function rehearsed(run: Run, mishaps: readonly Mishap[]): Outcome {
  const colderK = mishaps.reduce((sum, each) => sum + (each.kind === 'cold-room' ? each.byK : 0), 0);
  return outcomeOf(run, run.snapshot.sheet.making.room.tempC - colderK);
}
