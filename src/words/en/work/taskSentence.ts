import type { HouseRules } from '../../../core/houseRules/houseRules';
import { ceiling } from '../../../core/materials/defaults';
import type { Sheet } from '../../../core/plan/sheet';
import type { ScheduledTask } from '../../../core/schedule/scheduledTask';
import type { Showing } from '../../../core/units/showQuantity';
import { partOfRound } from '../../../core/work/rounds';
import { inclusionWords } from './inclusionWords';
import { meltWords } from './meltWords';
import { pourWords } from './pourWords';
import { taskWords } from './taskWords';

/** How a task is done, at length: what hands at the bench are told. */
export function taskSentence(
  task: ScheduledTask,
  sheet: Sheet,
  rules: Pick<HouseRules, 'meltIn' | 'pourCeiling' | 'spritz'>,
  showing: Showing,
): string {
  const pour = sheet.pours[task.pourIndexes[0] ?? 0];
  switch (task.kind) {
    case 'melt':
      return pour ? meltWords(rules.meltIn, ceiling(pour.base).value, showing) : '';
    case 'stir-in': {
      const names = task.lineIndexes.map((index) => pour?.lines[index]?.material.name).join(', ');
      return task.from === 'beaker'
        ? `Stir ${names} in one beaker until it is clear, and pour it into the jug.`
        : `Stir ${names} to a paste without specks, scrape it into the jug, and stir sides and bottom.`;
    }
    case 'inclusions':
      return inclusionWords(sheet, partOfRound(sheet, task.round), task, showing);
    case 'pour':
      return pourWords(sheet, task, rules, showing);
    case 'spritz':
      return 'Spritz the layer below with alcohol, all over. No flame near it, and air the room.';
    case 'unmold':
      return 'Pull the walls away all round to let air in, and press from below. Stuck: ten minutes in the freezer, where the base bears it.';
    default:
      return taskWords(task, sheet, showing);
  }
}
