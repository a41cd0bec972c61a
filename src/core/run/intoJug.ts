import type { Sheet } from '../plan/sheet';
import { jugGroups } from '../pours/sharedJug';
import { weighedLine } from '../work/weighedLine';
import type { TaskState } from './taskStates';

/** Places of the pours that a task's jug serves, in order. */
export function poursOfJug({ pours }: Sheet, { pourIndexes: [own = 0] }: Pick<TaskState, 'pourIndexes'>) {
  return jugGroups(pours).find((group) => group.includes(own)) ?? [own];
}

/** The weighings of what goes into the jug of a task and stays in it: not what is laid, nor what leaves again. */
export function intoJug(sheet: Sheet, of: TaskState, tasks: readonly TaskState[]): TaskState[] {
  const group = poursOfJug(sheet, of);
  return tasks.filter(
    (task) =>
      task.plannedG !== null &&
      task.round === of.round &&
      task.load === of.load &&
      group.includes(task.pourIndexes[0] ?? -1) &&
      !(task.kind === 'weigh-dose' && task.into === 'dish') &&
      !weighedLine(sheet, task)?.leaves,
  );
}
