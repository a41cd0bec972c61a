import { useMemo } from 'react';
import type { Found } from '../../core/checks/finding';
import { baseTaskId, rescaled } from '../../core/run/jugBase';
import { type OverLimit, overLimits } from '../../core/run/overLimits';
import type { Run } from '../../core/run/run';
import type { TaskState } from '../../core/run/taskStates';
import { typedWeight } from '../../core/run/typedWeight';
import { useShowing } from '../shared/showing';
import type { LiveScale } from './useScale';

/** What is typed or stands on the scale for a task, as if it were ticked: the doses of its jug, and the limits it passes. */
export function useJugSoFar(
  { snapshot }: Run,
  tasks: TaskState[],
  task: TaskState | null,
  typed: string,
  scale: LiveScale,
): { shown: TaskState[]; over: OverLimit[] } {
  const showing = useShowing();
  const { sheet, findings } = snapshot;
  // What the plan passes already was told there.
  const planned = useMemo(() => new Set(findings.map(limitKey)), [findings]);
  const parsed = task && typedWeight(typed, task, sheet, showing.system);
  const shownG = scale.watch && scale.watch.place !== 'nothing' ? scale.watch.nettoG : null;
  const typedG = typed.trim() === '' ? shownG : parsed?.success && parsed.data > 0 ? parsed.data : null;
  const typedBase = task?.kind === 'weigh-base' && task.doneAt === null ? task : null;
  const baseG = typedBase === null ? null : typedG;
  // What is typed for the base moves every dose of its jug at once, before it is ticked.
  const shown = useMemo(() => {
    if (typedBase === null || baseG === null) return tasks;
    return tasks.map((each) =>
      each.kind === 'weigh-dose' && each.into !== 'dish' && baseTaskId(snapshot, each) === typedBase.id
        ? { ...each, targetG: rescaled(each.massG, typedBase.massG, baseG) }
        : each,
    );
  }, [tasks, snapshot, typedBase, baseG]);
  const over = task
    ? overLimits(
        sheet,
        { tasks },
        { round: task.round, load: task.load, pourIndex: task.pourIndexes[0] ?? -1 },
        typedG === null ? null : { taskId: task.id, massG: typedG },
      ).filter(({ finding }) => !planned.has(limitKey(finding)))
    : [];
  return { shown, over };
}

function limitKey({ code, pourIndex, about }: Found): string {
  return `${code} ${pourIndex} ${about}`;
}
