import { jugGroups } from '../pours/sharedJug';
import type { ScheduledTask } from '../schedule/scheduledTask';
import { pourTaskId } from '../work/tasksOf';
import type { RunSoFar } from './run';

/** What tells a weighing of more base from the one it is more of. */
const MORE = /\+\d+$/;

/** The base of one load of a jug: what was planned, and what was weighed. */
interface LoadBase {
  plannedG: number;
  actualG: number | null;
}

/** A weighing of base that was asked for at the bench. */
export interface ExtraBase {
  id: string;
  ofTaskId: string;
  massG: number;
}

export function extraId(taskId: string, extra: readonly ExtraBase[]): string {
  const numbers = extra
    .filter(({ ofTaskId }) => ofTaskId === taskId)
    .map(({ id }) => Number(id.slice(taskId.length + 1)));
  return `${taskId}+${Math.max(0, ...numbers) + 1}`;
}

export function removeExtra(extra: ExtraBase[], id: string): void {
  const place = extra.findIndex((each) => each.id === id);
  if (place >= 0) extra.splice(place, 1);
}

/** The tasks with what was asked for besides: weighed before the first pour of its jug. */
export function withExtra(
  tasks: readonly ScheduledTask[],
  extra: readonly ExtraBase[],
): readonly ScheduledTask[] {
  if (extra.length === 0) return tasks;
  const more = new Map<string, ScheduledTask[]>();
  for (const { id, ofTaskId, massG } of extra) {
    const base = tasks.find((task) => task.id === ofTaskId);
    const pour = tasks.find(
      (task) =>
        task.kind === 'pour' &&
        task.round === base?.round &&
        task.load === base.load &&
        task.pourIndexes.some((index) => base.pourIndexes.includes(index)),
    );
    if (base?.kind !== 'weigh-base' || !pour) continue;
    const task: ScheduledTask = { ...base, id, massG, cutG: massG, needs: [ofTaskId] };
    more.set(pour.id, [...(more.get(pour.id) ?? []), task]);
  }
  return tasks.flatMap((task) => {
    const before = more.get(task.id);
    return before ? [...before, { ...task, needs: [...task.needs, ...before.map(({ id }) => id)] }] : [task];
  });
}

/** The id of the planned task that one is, or is more of. */
export function plannedTaskId(id: string): string {
  return id.replace(MORE, '');
}

/** True for a weighing of base that was asked for at the bench. */
export function isTopUp({ id, kind }: Pick<ScheduledTask, 'id' | 'kind'>): boolean {
  return kind === 'weigh-base' && MORE.test(id);
}

export function basesOf(
  tasks: readonly ScheduledTask[],
  done: ReadonlyMap<string, { massG: number | null }>,
  extra: readonly ExtraBase[],
) {
  const actualOf = (id: string) => {
    const massG = done.get(id)?.massG ?? null;
    if (massG === null) return null;
    const more = extra.filter(({ ofTaskId }) => ofTaskId === id);
    return more.reduce((sum, each) => sum + (done.get(each.id)?.massG ?? 0), massG);
  };
  return new Map(
    tasks.flatMap((task): [string, LoadBase][] =>
      task.kind === 'weigh-base' ? [[task.id, { plannedG: task.massG, actualG: actualOf(task.id) }]] : [],
    ),
  );
}

/** Each weighing of base with what came to it later. */
export function basesOfTasks(
  tasks: readonly (ScheduledTask & { actualG: number | null })[],
): ReadonlyMap<string, LoadBase> {
  const bases = new Map<string, LoadBase>();
  for (const task of tasks) {
    if (task.kind !== 'weigh-base' || isTopUp(task)) continue;
    const more = tasks.filter((each) => isTopUp(each) && plannedTaskId(each.id) === task.id);
    const actualG = more.reduce((sum, each) => sum + (each.actualG ?? 0), task.actualG ?? 0);
    bases.set(task.id, { plannedG: task.massG, actualG: task.actualG === null ? null : actualG });
  }
  return bases;
}

/** Id of the weighing of the base that a task's jug holds. */
export function baseTaskId(
  { sheet: { pours } }: RunSoFar['snapshot'],
  { round, load, pourIndexes }: Pick<ScheduledTask, 'round' | 'load' | 'pourIndexes'>,
): string {
  const [own = 0] = pourIndexes;
  const head = jugGroups(pours).find((group) => group.includes(own))?.[0] ?? own;
  return pourTaskId(round, pours[head]?.letter ?? '', load, 'base');
}

/** The doses follow the weight that is really in the jug; each load by its own. */
export function weightsOf(
  task: ScheduledTask,
  bases: ReadonlyMap<string, LoadBase>,
): { plannedG: number | null; targetG: number | null } {
  if (task.kind === 'weigh-base') return { plannedG: task.massG, targetG: task.massG };
  if (task.kind !== 'weigh-dose') return { plannedG: null, targetG: null };
  const base = task.needs.map((id) => bases.get(id)).find((each) => each !== undefined);
  return {
    plannedG: task.massG,
    targetG: base ? rescaled(task.massG, base.plannedG, base.actualG) : task.massG,
  };
}

/** A dose in proportion to the base that is in the jug; as planned until that is known. */
export function rescaled(plannedG: number, plannedBaseG: number, actualBaseG: number | null): number {
  return actualBaseG === null ? plannedG : (plannedG * actualBaseG) / plannedBaseG;
}
