import { useState } from 'react';
import type { ScaleReading } from '../../core/run/scaleWatch';

/** What stood on the scale when each weighing began, g, until the next thing is weighed. */
interface Zeros {
  /** So many things were weighed before. */
  after: number;
  byTask: Record<string, number>;
}

/** It was tared, or its jug was taken off: so far below what stood there. */
const BELOW_G = 0.3;

/**
 * What stood on the scale when a weighing began, and is no part of it: kept while another task is looked at, and over a
 * reload; lower when what is there is tared or taken off.
 *
 * @param weighed how many things the run has weighed
 * @returns null while nothing was read
 */
export function useZero(
  runId: string,
  taskId: string | null,
  weighed: number,
  last: ScaleReading | undefined,
): [zeroG: number | null, set: (massG: number) => void] {
  const key = `tallow.zero.${runId}`;
  const [zeros, setZeros] = useState<Zeros>(() => read(key));
  const own = zeros.after === weighed && taskId !== null ? (zeros.byTask[taskId] ?? null) : null;
  const set = (massG: number) => {
    if (taskId === null) return;
    const byTask = { ...(zeros.after === weighed ? zeros.byTask : {}), [taskId]: massG };
    const next = { after: weighed, byTask };
    setZeros(next);
    localStorage.setItem(key, JSON.stringify(next));
  };
  if (last && taskId !== null && (own === null || (last.isStable !== false && last.massG < own - BELOW_G)))
    set(last.massG);
  return [own, set];
}

function read(key: string): Zeros {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? '') as Partial<Zeros> | null;
    if (typeof kept?.after === 'number' && typeof kept.byTask === 'object')
      return { after: kept.after, byTask: { ...kept.byTask } };
  } catch {
    // Nothing was kept, or not by this version.
  }
  return { after: 0, byTask: {} };
}
