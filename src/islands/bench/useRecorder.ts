import { useEffect, useRef } from 'react';
import { MOST_POINTS, type Quantity, type ReadingPoint, thinnedReadings } from '../../core/run/keptReadings';
import { callApi } from '../shared/api';
import { useBenchWorld } from './benchWorld';

const SENT_EVERY_MS = 20_000;

/** Readings of one instrument that wait to be sent. */
interface Waiting {
  instrument: string;
  taskId: string | null;
  points: ReadingPoint[];
}

/** Keeps one more reading of an instrument. */
export type Recorder = (instrument: string, point: ReadingPoint, taskId: string | null) => void;

/**
 * Brings what an instrument shows to the run, thinned and some at a time; nothing waits for it, and without the server it
 * goes on later.
 *
 * @param step what it moves by, g or K; 0 where nobody knows
 */
export function useRecorder(runId: string, quantity: Quantity, step: number): Recorder {
  const isMade = useBenchWorld().rehearsal === null;
  const waiting = useRef<Waiting[]>([]);
  useEffect(() => {
    if (!isMade) return;
    let isSending = false;
    const send = async (keepalive = false) => {
      const [first] = waiting.current;
      if (isSending || !first) return;
      isSending = true;
      const points = first.points.slice(0, MOST_POINTS);
      const body = {
        ...{ instrument: first.instrument, quantity, taskId: first.taskId },
        points: points.map(({ atMs, value }) => ({ at: new Date(atMs).toISOString(), value })),
      };
      const path = `/api/runs/${encodeURIComponent(runId)}/readings`;
      const answer = await callApi('POST', path, body, { keepalive });
      isSending = false;
      // What the server will not have is not sent again; what did not get there is, with the next.
      if (!answer.success && (answer.error.status === 0 || answer.error.status >= 500)) return;
      first.points.splice(0, points.length);
      waiting.current = waiting.current.filter((each) => each.points.length > 0);
    };
    const onHide = () => document.visibilityState === 'hidden' && void send(true);
    const timer = setInterval(() => void send(), SENT_EVERY_MS);
    document.addEventListener('visibilitychange', onHide);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', onHide);
      void send(true);
    };
  }, [runId, quantity, isMade]);
  return (instrument, point, taskId) => {
    if (!isMade) return;
    const last = waiting.current.at(-1);
    const same = last?.instrument === instrument && last.taskId === taskId ? last : null;
    const kept = thinnedReadings([point], same?.points.at(-1) ?? null, quantity, step);
    if (kept.length === 0) return;
    if (same) same.points.push(...kept);
    else waiting.current.push({ instrument, taskId, points: kept });
  };
}
