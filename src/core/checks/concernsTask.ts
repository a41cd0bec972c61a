import type { Sheet } from '../plan/sheet';
import type { Task, TaskKind } from '../work/task';
import type { Finding } from './finding';

/** Which task a finding without a dose belongs to; of all others it is the weighing of the base. */
const TASKS_OF: Record<string, readonly TaskKind[]> = {
  'jug-too-small': ['weigh-base', 'melt'],
  'embeds-fit': ['inclusions'],
  'mold-too-hot': ['pour'],
  'pour-over-ceiling': ['pour'],
  'heat-hot-on-skin': ['pour'],
  'heat-breaks-through': ['pour'],
  'heat-weak-bond': ['pour'],
  'heat-jug-too-thick': ['pour'],
  'heat-points-melt': ['pour', 'inclusions'],
  'heat-freezer': ['freezer', 'unmold'],
  'heat-sweats': ['unmold', 'wrap'],
};

/** Whether a finding says something of a task in hand. */
export function concernsTask(
  { code, pourIndex, doseIndexes, materialId }: Finding,
  task: Task,
  { pours }: Pick<Sheet, 'pours'>,
): boolean {
  const own = pours[task.pourIndexes[0] ?? -1];
  if (materialId !== undefined) {
    if (task.kind === 'weigh-base' && own?.base.id === materialId) return true;
    if (task.kind === 'weigh-dose') return own?.lines[task.lineIndex]?.material.id === materialId;
  }
  if (pourIndex === null) return (TASKS_OF[code] ?? []).includes(task.kind);
  if (!task.pourIndexes.includes(pourIndex)) return false;
  if (doseIndexes.length > 0)
    return task.kind === 'weigh-dose' && doseIndexes.includes(own?.lines[task.lineIndex]?.doseIndex ?? -1);
  return (TASKS_OF[code] ?? ['weigh-base']).includes(task.kind);
}
