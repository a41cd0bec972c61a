import type { ScheduledTask } from '../schedule/scheduledTask';

/** Mistakes of the trade that a rehearsal is made with on purpose. */
export const DARES = ['too-hot', 'too-late', 'dose-first', 'small-jug', 'long-freezer'] as const;
export type Dare = (typeof DARES)[number];

export function isDare(text: string): text is Dare {
  return DARES.some((dare) => dare === text);
}

/** Where a dare is told, and for how long hands are then off, s; 0 where they are not. */
export interface DareAt {
  taskId: string;
  leaveS: number;
}

const LATE_S = 30 * 60;
const FROZEN_S = 60 * 60;

/**
 * The task that a dare is about; null where a plan has none such.
 *
 * @param tasks in the order of the schedule
 */
export function placeDare(dare: Dare, tasks: readonly ScheduledTask[]): DareAt | null {
  const first = (is: (task: ScheduledTask) => boolean, leaveS = 0): DareAt | null => {
    const task = tasks.find(is);
    return task ? { taskId: task.id, leaveS } : null;
  };
  const isSkin = (id: string) => tasks.some((task) => task.id === id && task.kind === 'skin');
  const isOntoSkin = ({ kind, needs }: ScheduledTask) => kind === 'pour' && needs.some(isSkin);
  /** The layer below is wetted while its jug cools: hands that hurry begin there. */
  const isBeforeHot = ({ kind, id }: ScheduledTask) =>
    kind === 'spritz' && tasks.some((task) => isOntoSkin(task) && task.needs.includes(id));
  switch (dare) {
    case 'too-hot':
      return first(isBeforeHot) ?? first(isOntoSkin) ?? first(({ kind }) => kind === 'pour');
    case 'too-late':
      return first(isOntoSkin, LATE_S);
    case 'dose-first':
      return tasks.some(({ kind }) => kind === 'weigh-dose')
        ? first(({ kind }) => kind === 'weigh-base')
        : null;
    case 'small-jug':
      return first(({ kind, jugs }) => kind === 'melt' && jugs.some(({ id }) => id !== ''));
    case 'long-freezer':
      return tasks.some(({ kind }) => kind === 'freezer')
        ? first(({ kind }) => kind === 'unmold', FROZEN_S)
        : null;
  }
}
