import type { Progress } from '../run/progress';
import type { RackKind, RackRound } from './rackRounds';

/** What hands are called to the rack for: once when it is due, and once more after it was felt and was not ready. */
export interface RackCall {
  runId: string;
  planName: string;
  round: number;
  kind: RackKind;
  /** Of the run; the same for whatever screen calls. */
  id: string;
  /** ms since the epoch. */
  dueMs: number;
}

/** What fell due longer ago has been heard, or nobody was there. */
const CALLED_WITHIN_MS = 12 * 3600_000;

/** What a round calls for; null where nothing of it does. */
export function rackCall(
  run: { id: string; snapshot: { sheet: { planName: string } } },
  { feels }: Progress,
  { round, due: [next] }: RackRound,
  nowMs: number,
): RackCall | null {
  if (!next || next.due.low < nowMs - CALLED_WITHIN_MS) return null;
  const times = feels.filter(({ taskId }) => taskId === next.taskId).length;
  return {
    runId: run.id,
    planName: run.snapshot.sheet.planName,
    ...{ round, kind: next.kind },
    id: `${next.kind}-${round}#${times}`,
    dueMs: next.due.low,
  };
}
