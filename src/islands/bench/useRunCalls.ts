import type { Progress } from '../../core/run/progress';
import type { Run } from '../../core/run/run';
import { waitWords } from '../../words/en/run/onwardWords';
import { taskAloud } from '../../words/en/work/taskAloud';
import { useShowing } from '../shared/showing';
import { type Calls, useCalls } from './useCalls';
import type { OnwardNow } from './useOnward';

/** Calls for the waits of a run, and says its task in hand. */
export function useRunCalls(
  { id, snapshot: { sheet, rules } }: Run,
  { inHand, touches, ended }: Progress,
  { waits, nowMs }: OnwardNow,
): Calls {
  const showing = useShowing();
  return useCalls(
    id,
    waits.map((wait) => ({
      // Touched and not ready, it calls once more.
      id: `${wait.id}#${touches.filter(({ taskId }) => taskId === wait.id).length}`,
      words: waitWords(wait, sheet, true),
      isOver: wait.toMs <= nowMs,
    })),
    inHand ? taskAloud(inHand, sheet, rules, showing) : '',
    ended === null,
  );
}
