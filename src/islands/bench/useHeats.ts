import { useEffect, useRef, useState } from 'react';
import type { HeatOnward } from '../../core/run/heatOnward';
import type { Run } from '../../core/run/run';
import type { JugReading } from '../../core/run/said';
import type { OnwardAnswer, OnwardRequest } from '../../workers/onwardProtocol';
import { useBenchWorld } from './benchWorld';

/** A run whose heat is followed, with what a thermometer showed of jugs that it stands in. */
export interface Followed {
  run: Run;
  readings: readonly JugReading[];
}

/**
 * The heat of runs by their ids, anew with everything that happens to one of them, worked out beside the page. Without a
 * worker there is none, and waits are then as they were planned.
 *
 * @param turn changes where all of it is to be looked at anew
 */
export function useHeats(runs: readonly Followed[], turn: number): ReadonlyMap<string, HeatOnward | null> {
  const [heats, setHeats] = useState<ReadonlyMap<string, HeatOnward | null>>(new Map());
  const { now } = useBenchWorld();
  const worker = useRef<Worker | null>(null);
  const asked = useRef(new Map<string, Followed & { number: number; turn: number }>());

  useEffect(() => {
    if (typeof Worker === 'undefined') return;
    const started = new Worker(new URL('../../workers/onward.worker.ts', import.meta.url), {
      type: 'module',
    });
    started.onmessage = ({ data: { runId, number, heat } }: MessageEvent<OnwardAnswer>) => {
      if (number === asked.current.get(runId)?.number) setHeats((all) => new Map(all).set(runId, heat));
    };
    worker.current = started;
    return () => started.terminate();
  }, []);

  useEffect(() => {
    for (const { run, readings } of runs) {
      const { id: runId, snapshot, events } = run;
      const before = asked.current.get(runId);
      if (before && before.run.events === events && before.readings === readings && before.turn === turn)
        continue;
      const number = (before?.number ?? 0) + 1;
      asked.current.set(runId, { run, readings, number, turn });
      const request: OnwardRequest = {
        ...{ number, runId, readings, run: { snapshot, events } },
        nowMs: now(),
      };
      worker.current?.postMessage(request);
    }
  }, [runs, turn, now]);

  return heats;
}
