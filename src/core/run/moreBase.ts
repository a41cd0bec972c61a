import { baseTaskId } from './jugBase';
import type { RunSoFar } from './run';
import type { TaskState } from './taskStates';

/** The weighing of the base in a task's jug, while more may be melted into it: none of it is poured. Null where it may not. */
export function moreBaseFor(
  snapshot: RunSoFar['snapshot'],
  tasks: readonly TaskState[],
  task: TaskState,
): string | null {
  const id = baseTaskId(snapshot, task);
  const isWeighed = tasks.some((each) => each.id === id && each.doneAt !== null);
  const isPoured = tasks.some(
    (each) => each.kind === 'pour' && each.doneAt !== null && baseTaskId(snapshot, each) === id,
  );
  return isWeighed && !isPoured ? id : null;
}
