import { type Sheet, type SheetLine, weighedLines } from '../plan/sheet';
import type { Task } from './task';

/** The line that a task weighs; undefined where it weighs no dose. */
export function weighedLine({ pours }: Pick<Sheet, 'pours'>, task: Task): SheetLine | undefined {
  const pour = pours[task.pourIndexes[0] ?? -1];
  return pour && task.kind === 'weigh-dose' ? weighedLines(pour)[task.lineIndex] : undefined;
}
