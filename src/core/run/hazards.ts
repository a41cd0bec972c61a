import type { HouseRules } from '../houseRules/houseRules';
import type { Sheet } from '../plan/sheet';
import type { TaskKind } from '../work/task';
import { weighedLine } from '../work/weighedLine';
import type { TaskState } from './taskStates';

/** What can hurt somebody in a task. Common practice, no source. */
export type Hazard = 'hot-base' | 'microwave' | 'hot-water' | 'alcohol' | 'sharp' | 'children';

const HOT: ReadonlySet<TaskKind> = new Set(['melt', 'rewarm', 'stir-in', 'pour']);

/** What to mind in a task, the worst first. */
export function hazardsOf(
  task: TaskState,
  sheet: Pick<Sheet, 'pours'>,
  { meltIn }: Pick<HouseRules, 'meltIn'>,
): Hazard[] {
  const hazards: Hazard[] = [];
  if (task.kind === 'spritz' || weighedLine(sheet, task)?.leaves) hazards.push('alcohol');
  if (HOT.has(task.kind) || (task.kind === 'weigh-dose' && task.into === 'jug')) hazards.push('hot-base');
  if (task.kind === 'melt' || task.kind === 'rewarm')
    hazards.push(meltIn === 'microwave' ? 'microwave' : 'hot-water', 'children');
  if (task.kind === 'weigh-base' || task.kind === 'cut-bars') hazards.push('sharp');
  return hazards;
}
