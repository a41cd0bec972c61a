import type { Sheet } from '../plan/sheet';
import { jugGroups } from '../pours/sharedJug';
import type { ScheduledTask } from '../schedule/scheduledTask';
import type { TaskKind } from '../work/task';
import { weighedLine } from '../work/weighedLine';
import type { Done } from './done';

/** What fills a jug. */
const IN_JUG: ReadonlySet<TaskKind> = new Set(['weigh-base', 'melt', 'weigh-dose', 'stir-in', 'cool']);

/** Whether a task may be left out: the weighing of an optional dose. */
export function mayBeLeftOut(sheet: Pick<Sheet, 'pours'>, task: ScheduledTask): boolean {
  return task.kind === 'weigh-dose' && weighedLine(sheet, task)?.isOptional === true;
}

/**
 * Whether a pour may be left out: another of its round stays, and none of its own is in the mold. What is late, broken or spoilt need not spoil the rest.
 *
 * @param isLeftOut of the tasks of the run
 */
export function mayLeavePourOut(
  task: ScheduledTask,
  tasks: readonly ScheduledTask[],
  isLeftOut: (taskId: string) => boolean,
): boolean {
  return (
    task.kind === 'pour' &&
    task.load === 0 &&
    tasks.some(
      ({ id, kind, round, pourIndexes }) =>
        kind === 'pour' && round === task.round && pourIndexes[0] !== task.pourIndexes[0] && !isLeftOut(id),
    )
  );
}

/** Ids of what goes with a pour that is left out: all that is only for it, in all its melts. The jug of other pours is filled for them. */
export function tasksOfPour(
  pour: ScheduledTask,
  tasks: readonly ScheduledTask[],
  { pours }: Pick<Sheet, 'pours'>,
): string[] {
  const isShared = jugGroups(pours).some(
    (group) =>
      group.some((index) => pour.pourIndexes.includes(index)) &&
      group.some((index) => !pour.pourIndexes.includes(index)),
  );
  return tasks
    .filter(
      ({ kind, round, pourIndexes }) =>
        round === pour.round &&
        pourIndexes.length > 0 &&
        pourIndexes.every((index) => pour.pourIndexes.includes(index)) &&
        !(isShared && IN_JUG.has(kind)),
    )
    .map(({ id }) => id);
}

/** Ids of all weighings of one dose in one load: a blend has several, and so has a powder that is wetted. */
export function weighingsOfDose(
  tasks: readonly ScheduledTask[],
  sheet: Pick<Sheet, 'pours'>,
  taskId: string,
): string[] {
  const own = tasks.find(({ id }) => id === taskId);
  const doseId = own && weighedLine(sheet, own)?.doseId;
  return tasks
    .filter(
      (task) =>
        task.kind === 'weigh-dose' &&
        task.round === own?.round &&
        task.load === own.load &&
        task.pourIndexes[0] === own.pourIndexes[0] &&
        weighedLine(sheet, task)?.doseId === doseId,
    )
    .map(({ id }) => id);
}

/** How a task is over that has nothing left to stir in or to lay: with the last that was left out. */
export function emptied(
  { kind, needs }: ScheduledTask,
  byId: ReadonlyMap<string, ScheduledTask>,
  done: ReadonlyMap<string, Done>,
): Done | undefined {
  if (kind !== 'stir-in' && kind !== 'lay') return undefined;
  let last: Done | undefined;
  for (const id of needs) {
    if (byId.get(id)?.kind !== 'weigh-dose') continue;
    last = done.get(id);
    if (last?.massG !== 0) return undefined;
  }
  return last && { at: last.at, massG: null, parts: [], note: '', before: null };
}

/** A task that stirs in or lays several doses, without those that were left out. */
export function withoutLeftOut(
  task: ScheduledTask,
  byId: ReadonlyMap<string, ScheduledTask>,
  done: ReadonlyMap<string, Done>,
): ScheduledTask {
  if (task.kind !== 'stir-in' && task.kind !== 'lay') return task;
  const out = task.needs.flatMap((id) => {
    const need = byId.get(id);
    return need?.kind === 'weigh-dose' && done.get(id)?.massG === 0 ? [need.lineIndex] : [];
  });
  if (out.length === 0 || out.length === task.lineIndexes.length) return task;
  return { ...task, lineIndexes: task.lineIndexes.filter((index) => !out.includes(index)) };
}
