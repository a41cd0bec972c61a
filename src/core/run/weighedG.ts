import { weighedLine } from '../work/weighedLine';
import { progress } from './progress';
import type { RunSoFar } from './run';

/** What was weighed into the jugs of a run and stays in them, g. */
export function weighedG(run: RunSoFar): number {
  return progress(run).tasks.reduce((sum, task) => {
    const line = weighedLine(run.snapshot.sheet, task);
    const isLaid = task.kind === 'weigh-dose' && task.into === 'dish';
    return line?.leaves || isLaid ? sum : sum + (task.actualG ?? 0);
  }, 0);
}
