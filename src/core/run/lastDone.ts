import type { RunEvent, RunSoFar } from './run';

/** What was said of a task when it was ticked, the last time it was; null where it was not. */
export function lastDone(
  { events }: Pick<RunSoFar, 'events'>,
  taskId: string | undefined,
): Extract<RunEvent, { kind: 'done' }> | null {
  const last = events.findLast(({ event }) => event.kind === 'done' && event.taskId === taskId)?.event;
  return last?.kind === 'done' ? last : null;
}
