import { useEffect, useState } from 'react';
import type { FaultOfRound } from '../../core/inspection/inspection';
import type { Material } from '../../core/materials/material';
import type { Run } from '../../core/run/run';
import type { CausesAnswer, CausesRequest } from '../../workers/causesProtocol';

/** What could have been the causes of faults, worked out beside the page. */
export function useCauses(
  run: Run,
  faults: readonly FaultOfRound[],
  shelf: readonly Material[],
): CausesAnswer | 'working' {
  const [told, setTold] = useState<CausesAnswer | 'working'>('working');
  useEffect(() => {
    setTold('working');
    if (faults.length === 0) return;
    const worker = new Worker(new URL('../../workers/causes.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<CausesAnswer>) => setTold(data);
    worker.onerror = () => setTold(null);
    worker.postMessage({ run, faults, shelf } satisfies CausesRequest);
    return () => worker.terminate();
  }, [run, faults, shelf]);
  return told;
}
