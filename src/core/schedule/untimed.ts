import { isWait, type Task } from '../work/task';
import type { ScheduledTask } from './scheduledTask';

/** Tasks in their own order, where nothing is known of their times. */
export function untimed(tasks: readonly Task[]): ScheduledTask[] {
  return tasks.map((task) => ({
    ...task,
    fromS: 0,
    toS: 0,
    ends: null,
    hands: !isWait(task),
    jugs: [],
    melt: null,
  }));
}
