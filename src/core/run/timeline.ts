import type { TaskKind } from '../work/task';
import type { Progress } from './progress';
import type { TaskState } from './taskStates';

/** What a run's course is told by: when it melts, is poured, and what comes after. */
const TOLD: ReadonlySet<TaskKind> = new Set(['melt', 'pour', 'unmold', 'cut-bars', 'wrap']);
const MOST_TOLD = 60;

/** A task as it was planned and when it was done, s from the start of its run. */
export interface TimelineRow {
  task: TaskState;
  plannedFromS: number;
  plannedToS: number;
  /** null where it was never done, or left out. */
  doneS: number | null;
}

/** The course of a run, planned beside real, in the order of the plan. */
export function timelineOf({ tasks }: Pick<Progress, 'tasks'>, startedAt: string): TimelineRow[] {
  const startMs = Date.parse(startedAt);
  return tasks
    .filter(({ kind }) => TOLD.has(kind))
    .slice(0, MOST_TOLD)
    .map((task) => ({
      task,
      plannedFromS: task.fromS,
      plannedToS: task.toS,
      doneS: task.doneAt === null || task.isLeftOut ? null : (Date.parse(task.doneAt) - startMs) / 1000,
    }));
}
