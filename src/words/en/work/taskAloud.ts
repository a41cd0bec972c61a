import type { HouseRules } from '../../../core/houseRules/houseRules';
import type { Sheet } from '../../../core/plan/sheet';
import type { TaskState } from '../../../core/run/taskStates';
import { type Showing, showMass } from '../../../core/units/showQuantity';
import { taskName } from './taskName';
import { taskSentence } from './taskSentence';

/** A task as a voice says it: what, and how much or how. */
export function taskAloud(
  task: TaskState,
  sheet: Sheet,
  rules: Pick<HouseRules, 'meltIn' | 'pourCeiling' | 'spritz'>,
  showing: Showing,
): string {
  const name = taskName(task, sheet);
  return task.targetG === null
    ? `${name}. ${taskSentence(task, sheet, rules, showing)}`
    : `${name}, ${showMass(task.targetG, showing)}.`;
}
