import type { OnwardTask } from '../../core/run/onward';
import type { Progress } from '../../core/run/progress';
import type { Run } from '../../core/run/run';
import { waitWords } from '../../words/en/run/onwardWords';
import { taskAloud } from '../../words/en/work/taskAloud';
import { useShowing } from '../shared/showing';
import { type Calls, useCalls, type WaitCall } from './useCalls';
import type { OnwardNow } from './useOnward';

/** Calls for the waits of all runs on the bench, and says the task in hand of the one that is shown. */
export function useRunCalls(run: Run, so: Progress, { waits, others, nowMs }: OnwardNow): Calls {
  const showing = useShowing();
  const { inHand, ended } = so;
  const { sheet, rules } = run.snapshot;
  return useCalls(
    [
      ...waits.map((wait) => waitCall(run, so, wait, nowMs, '')),
      ...others.flatMap((other) =>
        other.seen.waits.map((wait) =>
          waitCall(other.run, other.so, wait, nowMs, `${other.run.snapshot.sheet.planName}: `),
        ),
      ),
    ],
    inHand ? taskAloud(inHand, sheet, rules, showing) : '',
    ended === null,
  );
}

function waitCall(run: Run, { touches }: Progress, wait: OnwardTask, nowMs: number, of: string): WaitCall {
  return {
    runId: run.id,
    // Touched and not ready, it calls once more.
    id: `${wait.id}#${touches.filter(({ taskId }) => taskId === wait.id).length}`,
    words: `${of}${waitWords(wait, run.snapshot.sheet, true)}`,
    isOver: wait.toMs <= nowMs,
  };
}
