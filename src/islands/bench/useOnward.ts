import { useEffect, useMemo, useRef, useState } from 'react';
import type { HeatOnward } from '../../core/run/heatOnward';
import { type Onward, onward } from '../../core/run/onward';
import type { JugReading, Progress } from '../../core/run/progress';
import type { Run } from '../../core/run/run';
import type { OnwardAnswer, OnwardRequest } from '../../workers/onwardProtocol';

/** What is late is looked at anew so often: it gets colder meanwhile. */
const LATE_EVERY_MS = 30_000;
const TICK_MS = 1000;

export interface OnwardNow extends Onward {
  nowMs: number;
  heat: HeatOnward | null;
}

/**
 * The rest of a run by the clock: anew with everything that happens, its heat followed in a worker.
 *
 * @param followed what a thermometer showed of jugs that it stands in
 */
export function useOnward(run: Run, so: Progress, followed: readonly JugReading[]): OnwardNow {
  const [nowMs, setNowMs] = useState(Date.now);
  const [heat, setHeat] = useState<HeatOnward | null>(null);
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  const isOpen = so.ended === null;

  useEffect(() => {
    if (!isOpen) return;
    const timer = setInterval(() => setNowMs(Date.now()), TICK_MS);
    return () => clearInterval(timer);
  }, [isOpen]);

  useEffect(() => {
    // Without one, waits are as they were planned.
    if (typeof Worker === 'undefined') return;
    const started = new Worker(new URL('../../workers/onward.worker.ts', import.meta.url), {
      type: 'module',
    });
    started.onmessage = ({ data }: MessageEvent<OnwardAnswer>) => {
      if (data.number === asked.current) setHeat(data.heat);
    };
    worker.current = started;
    return () => started.terminate();
  }, []);

  const seen = useMemo(
    () => onward(so, heat, Date.parse(run.startedAt), nowMs),
    [so, heat, run.startedAt, nowMs],
  );
  const isLate = seen.windows.some(({ closesMs }) => closesMs < nowMs);
  const turn = isLate ? Math.floor(nowMs / LATE_EVERY_MS) : 0;
  const { snapshot, events } = run;
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is late is asked for again now and then
  useEffect(() => {
    if (!isOpen) return;
    asked.current += 1;
    const request: OnwardRequest = {
      number: asked.current,
      run: { snapshot, events },
      readings: followed,
      nowMs: Date.now(),
    };
    worker.current?.postMessage(request);
  }, [isOpen, snapshot, events, followed, turn]);

  return { ...seen, nowMs, heat };
}
