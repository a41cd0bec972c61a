import { progress } from './progress';
import type { RunSoFar } from './run';

/** What was weighed into the jugs of a run and stays in them, g. */
export function weighedG(run: RunSoFar): number {
  return progress(run).tasks.reduce((sum, task) => {
    const line =
      task.kind === 'weigh-dose'
        ? run.snapshot.sheet.pours[task.pourIndexes[0] ?? 0]?.lines[task.lineIndex]
        : undefined;
    return line?.leaves ? sum : sum + (task.actualG ?? 0);
  }, 0);
}
