import { useState } from 'react';
import { type AtRest, atRest, MOVED_G, type ScaleReading } from '../../core/run/scaleWatch';

/** What stood on the scale when each weighing began, until the next thing is weighed. */
interface Zeros {
  /** So many things were weighed before. */
  after: number;
  byTask: Record<string, AtRest>;
}

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
  readings: readonly ScaleReading[],
): [zero: AtRest | null, setZero: () => void] {
  const key = `tallow.at-rest.${runId}`;
  const last = readings.at(-1);
  const [zeros, setZeros] = useState<Zeros>(() => read(key));
  const own = zeros.after === weighed && taskId !== null ? (zeros.byTask[taskId] ?? null) : null;
  const setZero = () => {
    const now = atRest(readings);
    if (taskId === null || now === null) return;
    const byTask = { ...(zeros.after === weighed ? zeros.byTask : {}), [taskId]: now };
    const next = { after: weighed, byTask };
    setZeros(next);
    localStorage.setItem(key, JSON.stringify(next));
  };
  // Tared, or its jug taken off, it is below what stood there.
  if (
    last &&
    taskId !== null &&
    (own === null || (last.isStable !== false && last.massG < own.massG - MOVED_G))
  )
    setZero();
  return [own, setZero];
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
