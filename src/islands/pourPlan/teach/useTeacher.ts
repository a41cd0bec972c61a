import { useEffect, useRef, useState } from 'react';
import type { HouseRules } from '../../../core/houseRules/houseRules';
import type { Sheet } from '../../../core/plan/sheet';
import type { TeachRequest } from '../../../core/schedule/teachFrom';
import type { PourPlanAnswer, PourPlanRequest, TeachResult } from '../../../workers/pourPlanProtocol';

/** Fits readings in a worker of its own, so that neither page nor pour plan waits. */
export function useTeacher(sheet: Sheet, rules: HouseRules) {
  const worker = useRef<Worker | null>(null);
  const [result, setResult] = useState<TeachResult | null>(null);
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState(false);
  useEffect(() => () => worker.current?.terminate(), []);

  function fit(request: TeachRequest) {
    worker.current ??= new Worker(new URL('../../../workers/pourPlan.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.current.onmessage = ({ data }: MessageEvent<PourPlanAnswer>) => {
      if (data.kind !== 'taught') return;
      setBusy(false);
      setResult(data.result);
    };
    worker.current.onerror = () => {
      worker.current = null;
      setBusy(false);
      setFailed(true);
    };
    setFailed(false);
    setBusy(true);
    setResult(null);
    worker.current.postMessage({ kind: 'teach', sheet, rules, request } satisfies PourPlanRequest);
  }

  return { fit, busy, failed, result, forget: () => setResult(null) };
}
