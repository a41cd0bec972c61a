import { type Sheet, type SheetPour, weighedLines } from '../plan/sheet';
import type { Task, TaskKind, TaskOf } from '../work/task';
import { weighedLine } from '../work/weighedLine';
import type { Finding, FindingCode } from './finding';

/** Which task a finding without a dose belongs to; of all others it is the weighing of the base. */
const TASKS_OF: Partial<Record<FindingCode, readonly TaskKind[]>> = {
  'jug-too-small': ['weigh-base', 'melt'],
  'embed-has-no-size': ['inclusions'],
  'embed-in-itself': ['inclusions'],
  'embed-too-tall': ['inclusions'],
  'embed-out-of-pour': ['inclusions'],
  'embed-floats': ['inclusions'],
  'embed-sinks': ['inclusions'],
  'embed-made-ahead': ['inclusions'],
  'mold-too-hot': ['pour'],
  'pour-over-ceiling': ['pour'],
  'heat-hot-on-skin': ['pour'],
  'heat-breaks-through': ['pour'],
  'heat-weak-bond': ['pour'],
  'heat-jug-too-thick': ['pour'],
  'heat-points-melt': ['pour', 'inclusions'],
  'heat-freezer-too-long': ['freezer', 'unmold'],
  'heat-freezer-tacky': ['freezer', 'unmold'],
  'heat-freezer-dew': ['freezer', 'unmold'],
  'heat-freezer-dry': ['freezer', 'unmold'],
  'heat-sweats': ['unmold', 'wrap'],
};

/** Whether a finding says something of a task in hand. */
export function concernsTask(
  { code, pourIndex, doseIndexes, materialId }: Finding,
  task: Task,
  sheet: Pick<Sheet, 'pours'>,
): boolean {
  const own = sheet.pours[task.pourIndexes[0] ?? -1];
  if (materialId !== undefined) {
    if (task.kind === 'weigh-base' && own?.base.id === materialId) return true;
    if (task.kind === 'weigh-dose') return weighedLine(sheet, task)?.material.id === materialId;
  }
  if (pourIndex === null) return (TASKS_OF[code] ?? []).includes(task.kind);
  if (!task.pourIndexes.includes(pourIndex)) return false;
  if (code === 'laid-plants' || code === 'laid-without-goes')
    return task.kind === 'lay' && laysOneOf(task, own, doseIndexes);
  if (doseIndexes.length > 0)
    return task.kind === 'weigh-dose' && doseIndexes.includes(weighedLine(sheet, task)?.doseIndex ?? -1);
  return (TASKS_OF[code] ?? ['weigh-base']).includes(task.kind);
}

function laysOneOf(
  { lineIndexes }: TaskOf<'lay'>,
  pour: SheetPour | undefined,
  doseIndexes: readonly number[],
): boolean {
  const lines = pour ? weighedLines(pour) : [];
  return lineIndexes.some((index) => doseIndexes.includes(lines[index]?.doseIndex ?? -1));
}
