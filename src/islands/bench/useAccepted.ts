import { useEffect, useRef } from 'react';
import type { TaskState } from '../../core/run/taskStates';
import type { LiveScale } from './useScale';

/**
 * Ticks a weighing once, as soon as it stands still in its band, where that is wanted.
 *
 * @param mayTick nothing was typed, and no limit is passed
 */
export function useAccepted(
  task: TaskState | null,
  { watch, accepts }: LiveScale,
  mayTick: boolean,
  tick: (massG: number) => void,
): void {
  const ticked = useRef<string | null>(null);
  const isReady =
    accepts && mayTick && watch?.isAccepted === true && task !== null && task.unmet.length === 0;
  const massG = watch?.nettoG ?? 0;
  useEffect(() => {
    if (!isReady || task === null || ticked.current === task.id) return;
    ticked.current = task.id;
    tick(Number(massG.toFixed(3)));
  });
}
