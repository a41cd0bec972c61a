import { useEffect, useRef, useState } from 'react';
import type { Taught } from '../../../core/heat/taught';
import type { HouseRules, Jug } from '../../../core/houseRules/houseRules';
import type { Mold } from '../../../core/molds/mold';
import type { Sheet } from '../../../core/plan/sheet';
import { fail, ok, type Result } from '../../../core/result';
import type { TeachRequest } from '../../../core/schedule/teachFrom';
import type { PourPlanAnswer, PourPlanRequest, TeachResult } from '../../../workers/pourPlanProtocol';
import { callApi } from '../../shared/api';
import type { StoredItem } from '../../shared/saveQueue';

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

/** Whose heat is learnt. */
export type Pupil = { kind: 'jug' | 'mold'; id: string };

export type TaughtAnswer = { kind: 'jug'; item: Jug } | { kind: 'mold'; item: Mold };

/** Changes what a jug or a mold was taught, on the record as it is now; answers the record, or what went wrong. */
export async function changeTaught(
  { kind, id }: Pupil,
  change: (taught: Taught[]) => Taught[],
): Promise<Result<TaughtAnswer, string>> {
  const address = `/api/${kind}s/${encodeURIComponent(id)}`;
  const now = await callApi<StoredItem<Jug | Mold>>('GET', address);
  if (!now.success) return fail(now.error.detail);
  const { item, revision } = now.data;
  const saved = await callApi<StoredItem<Jug | Mold>>('PUT', address, {
    item: { ...item, taught: change(item.taught) },
    revision,
  });
  return saved.success ? ok({ kind, item: saved.data.item } as TaughtAnswer) : fail(saved.error.detail);
}
