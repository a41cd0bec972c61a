import type { Progress } from '../run/progress';
import type { TaskState } from '../run/taskStates';
import { isWait } from '../work/task';

/** A longer stretch between two ticks was no work. Our own assumption. */
const LONGEST_STRETCH_S = 15 * 60;

/** What hands are planned to take, s. */
export function plannedHandsS(tasks: readonly Pick<TaskState, 'fromS' | 'toS' | 'hands' | 'kind'>[]): number {
  return tasks.reduce((sum, task) => sum + (isOfHands(task) ? task.toS - task.fromS : 0), 0);
}

/**
 * What hands really took, s: from tick to tick. Where longer passed than such work takes, the task counts as it was planned.
 */
export function realHandsS({ tasks }: Pick<Progress, 'tasks'>, startedAt: string): number {
  const done = tasks
    .filter((task) => isOfHands(task) && task.doneAt !== null && !task.isLeftOut)
    .map((task) => ({ plannedS: task.toS - task.fromS, atMs: Date.parse(task.doneAt ?? '') }))
    .sort((a, b) => a.atMs - b.atMs);
  let [sum, beforeMs] = [0, Date.parse(startedAt)];
  for (const { plannedS, atMs } of done) {
    const passedS = Math.max(0, (atMs - beforeMs) / 1000);
    sum += passedS > Math.max(LONGEST_STRETCH_S, 2 * plannedS) ? plannedS : passedS;
    beforeMs = atMs;
  }
  return sum;
}

function isOfHands(task: Pick<TaskState, 'hands' | 'kind'>): boolean {
  return task.hands && !isWait(task);
}
