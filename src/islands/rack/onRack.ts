import type { RackRound } from '../../core/rack/rackRounds';
import type { Progress } from '../../core/run/progress';
import type { Run } from '../../core/run/run';

/** A round on the rack, and its run. */
export interface OnRack {
  run: Run;
  so: Progress;
  round: RackRound;
}
