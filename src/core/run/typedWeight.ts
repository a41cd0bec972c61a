import type { Sheet, SheetLine } from '../plan/sheet';
import { ok, type Result } from '../result';
import { countedIn } from '../units/counting';
import { parseMass } from '../units/parseMass';
import { parseQuantity } from '../units/parseQuantity';
import type { QuantityFault } from '../units/quantityFault';
import type { UnitSystem } from '../units/showQuantity';
import type { TaskState } from './progress';

/** The line that a task weighs; undefined where it weighs base, or nothing. */
export function lineOfTask({ pours }: Pick<Sheet, 'pours'>, task: TaskState): SheetLine | undefined {
  return task.kind === 'weigh-dose' ? pours[task.pourIndexes[0] ?? 0]?.lines[task.lineIndex] : undefined;
}

/**
 * What was typed for a task, g. A bare number is in the unit that stands beside the field: a count where the dose is
 * counted out, else grams or ounces. Never throws.
 */
export function typedWeight(
  text: string,
  task: TaskState,
  sheet: Pick<Sheet, 'pours'>,
  system: UnitSystem,
): Result<number, QuantityFault> {
  const counted = lineOfTask(sheet, task)?.counted;
  const count = counted && parseQuantity(`${text} drops`, ['drops']);
  if (!counted || !count?.success || count.data.kind !== 'drops') return parseMass(text, system);
  return ok(count.data.drops * countedIn(counted, task.targetG ?? 0).gPerOne);
}
