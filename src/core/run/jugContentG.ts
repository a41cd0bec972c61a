import { loadsOf } from '../schedule/jugLoads';
import { fillsOfRound } from '../work/rounds';
import type { Progress } from './progress';
import type { RunSoFar } from './run';
import type { TaskState } from './taskStates';

/** What is taken to be in a jug of which nothing is known, g. */
const ANY_CONTENT_G = 100;

/** What is in the jug of a melt, g: as planned, brought to the base that was weighed. */
export function jugContentG(
  { snapshot: { sheet, rules } }: Pick<RunSoFar, 'snapshot'>,
  { tasks }: Pick<Progress, 'tasks'>,
  melt: TaskState,
): number {
  const loads = loadsOf(sheet, fillsOfRound(sheet, melt.round), rules)[melt.pourIndexes[0] ?? 0];
  const base = tasks.find((task) => task.kind === 'weigh-base' && melt.needs.includes(task.id));
  const share = base?.actualG && base.plannedG ? base.actualG / base.plannedG : 1;
  return (loads?.[melt.load]?.contentG ?? ANY_CONTENT_G) * share;
}
