import type { HouseRules } from '../houseRules/houseRules';
import { baseTaskId } from './jugBase';
import type { RunSoFar } from './run';
import { scaleTarget } from './scaleWatch';
import type { TaskState } from './taskStates';

/** More of a dose than was aimed at, and what would bring it right. */
export interface Overshoot {
  overG: number;
  /** The weighing of the base in its jug. */
  baseTaskId: string;
  /** So much more base makes it what was aimed at, g; null where the base is not weighed yet. */
  moreBaseG: number | null;
}

/** Whether a dose that is weighed is more than near enough to its target; null where it is not, or is no dose of a jug. */
export function overshoot(
  snapshot: RunSoFar['snapshot'],
  tasks: readonly TaskState[],
  task: TaskState,
  weighedG: number,
  rules: HouseRules,
): Overshoot | null {
  const { targetG } = task;
  if (task.kind !== 'weigh-dose' || task.into === 'dish' || targetG === null) return null;
  const overG = weighedG - targetG;
  if (!(overG > scaleTarget(targetG, rules).bandG)) return null;
  const id = baseTaskId(snapshot, task);
  const bases = tasks.filter(
    (each) => each.kind === 'weigh-base' && (each.id === id || each.id.startsWith(`${id}+`)),
  );
  const baseG = bases.reduce((sum, { actualG }) => sum + (actualG ?? 0), 0);
  return {
    overG,
    baseTaskId: id,
    moreBaseG: baseG > 0 && bases.every(({ doneAt }) => doneAt !== null) ? (baseG * overG) / targetG : null,
  };
}
