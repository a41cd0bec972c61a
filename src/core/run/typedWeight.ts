import type { Sheet } from '../plan/sheet';
import { ok, type Result } from '../result';
import { countedIn } from '../units/counting';
import { parseMass } from '../units/parseMass';
import { parseQuantity } from '../units/parseQuantity';
import type { QuantityFault } from '../units/quantityFault';
import type { UnitSystem } from '../units/showQuantity';
import { weighedLine } from '../work/weighedLine';
import type { TaskState } from './taskStates';

/** So much was counted, in drops, blocks, scoops, capsules or mL of spoons; null for what is typed as a weight, or is none. */
export function typedCount(text: string, task: TaskState, sheet: Pick<Sheet, 'pours'>): number | null {
  const counted = weighedLine(sheet, task)?.counted;
  const count = counted && parseQuantity(`${text} drops`, ['drops']);
  if (!counted || !count?.success || count.data.kind !== 'drops') return null;
  return (count.data.drops * countedIn(counted, task.targetG ?? 0).gPerOne) / counted.gPerOne;
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
  const count = typedCount(text, task, sheet);
  return count === null
    ? parseMass(text, system)
    : ok(count * (weighedLine(sheet, task)?.counted?.gPerOne ?? 0));
}
