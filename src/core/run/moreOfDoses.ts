import type { Sheet } from '../plan/sheet';
import { weighedLine } from '../work/weighedLine';
import { isInMold } from './progress';
import type { TaskState } from './taskStates';

/** A dose of which more may go in, while it is not in a mold. */
export interface MoreOfDose {
  task: TaskState;
  /** It is short of the base that is in the jug by so much, g; null where it is not. */
  shortG: number | null;
  /** It is a colour, which is added to until it is right. */
  isColour: boolean;
}

/** Shorter by less is as good as a hand gets. */
const SHORT = 0.02;

/** The doses of the jug of a task that are colours, or short since more base came into it. */
export function moreOfDoses(
  { round, load, pourIndexes }: TaskState,
  tasks: readonly TaskState[],
  sheet: Pick<Sheet, 'pours'>,
): MoreOfDose[] {
  return tasks.flatMap((task): MoreOfDose[] => {
    const isOfJug =
      task.kind === 'weigh-dose' &&
      task.round === round &&
      task.load === load &&
      task.pourIndexes.some((index) => pourIndexes.includes(index));
    const { actualG, targetG } = task;
    if (!isOfJug || task.isLeftOut || actualG === null || targetG === null || isInMold(task, tasks))
      return [];
    const isColour = weighedLine(sheet, task)?.material.kind === 'colorant';
    const shortG = actualG < targetG * (1 - SHORT) ? targetG - actualG : null;
    return isColour || shortG !== null ? [{ task, shortG, isColour }] : [];
  });
}
