import type { Run } from './run';
import { runState } from './runState';

/** What was weighed into the jugs of a run and stays in them, g. */
export function weighedG(run: Pick<Run, 'sheet' | 'events'>): number {
  return runState(run).steps.reduce((sum, step) => {
    const line =
      step.kind === 'weigh-dose' ? run.sheet.pours[step.pourIndex]?.lines[step.lineIndex] : undefined;
    return line?.leaves ? sum : sum + (step.actualG ?? 0);
  }, 0);
}
