import type { Task } from '../work/task';
import type { ScheduledTask } from './scheduledTask';

/**
 * What was placed, by its beginning, and what needed a task that takes no time of its own needs what that needed.
 */
export function withoutUnplaced(
  placed: readonly ScheduledTask[],
  tasksOf: (round: number) => readonly Task[],
): ScheduledTask[] {
  const ids = new Set(placed.map(({ id }) => id));
  const left = new Map<string, readonly string[]>();
  for (const round of new Set(placed.map((task) => task.round)))
    for (const { id, needs } of tasksOf(round)) if (!ids.has(id)) left.set(id, needs);
  const resolved = (needs: readonly string[]): string[] =>
    needs.flatMap((id) => {
      const instead = left.get(id);
      return instead ? resolved(instead) : [id];
    });
  return placed
    .map((task) =>
      task.needs.some((id) => left.has(id)) ? { ...task, needs: [...new Set(resolved(task.needs))] } : task,
    )
    .sort((a, b) => a.fromS - b.fromS || a.toS - b.toS);
}
