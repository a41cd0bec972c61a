import { useCallback, useRef, useState } from 'react';
import { type ClockFace, clockMs } from '../bench/benchWorld';

/** A clock that may run faster than this machine's, and be put on. */
export interface FastClock {
  face: ClockFace;
  now(): number;
  run(speed: number): void;
  putOn(ms: number): void;
}

/** @param atMs what it shows at first */
export function useFastClock(atMs: number): FastClock {
  const [face, setFace] = useState<ClockFace>(() => ({ atMs, realMs: Date.now(), speed: 1 }));
  const shown = useRef(face);
  const set = useCallback((next: ClockFace) => {
    shown.current = next;
    setFace(next);
  }, []);
  const now = useCallback(() => clockMs(shown.current), []);
  const run = useCallback(
    (speed: number) => {
      if (speed !== shown.current.speed) set({ atMs: now(), realMs: Date.now(), speed });
    },
    [now, set],
  );
  const putOn = useCallback(
    (ms: number) => set({ ...shown.current, atMs: now() + Math.max(0, ms), realMs: Date.now() }),
    [now, set],
  );
  return { face, now, run, putOn };
}
