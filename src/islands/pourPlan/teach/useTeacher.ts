import { useEffect, useRef, useState } from 'react';
import type { Taught } from '../../../core/heat/taught';
import type { HouseRules } from '../../../core/houseRules/houseRules';
import type { Mold } from '../../../core/molds/mold';
import type { Sheet } from '../../../core/plan/sheet';
import type { TeachRequest } from '../../../core/schedule/teachFrom';
import type { PourPlanAnswer, PourPlanRequest, TeachResult } from '../../../workers/pourPlanProtocol';
import { callApi } from '../../shared/api';
import type { StoredItem } from '../../shared/useRecords';

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
      if (data.is !== 'taught') return;
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
    worker.current.postMessage({ ask: 'teach', sheet, rules, request } satisfies PourPlanRequest);
  }

  return { fit, busy, failed, result, forget: () => setResult(null) };
}

/** Whose heat is learnt. */
export type Pupil = { is: 'jug'; name: string } | { is: 'mold'; id: string };

export interface TaughtAnswer {
  rules?: HouseRules;
  mold?: Mold;
}

/** Changes what a jug or a mold was taught, on the record as it is now; answers the record, or what went wrong. */
export async function changeTaught(
  pupil: Pupil,
  change: (taught: Taught[]) => Taught[],
): Promise<{ success: true; data: TaughtAnswer } | { success: false; error: string }> {
  if (pupil.is === 'jug') {
    const now = await callApi<StoredItem<HouseRules>>('GET', '/api/house-rules');
    if (!now.success) return { success: false, error: now.error.detail };
    const { item, revision } = now.data;
    const jugs = item.jugs.map((jug) =>
      jug.name === pupil.name ? { ...jug, taught: change(jug.taught) } : jug,
    );
    const saved = await callApi<StoredItem<HouseRules>>('PUT', '/api/house-rules', {
      item: { ...item, jugs },
      revision,
    });
    return saved.success
      ? { success: true, data: { rules: saved.data.item } }
      : { success: false, error: saved.error.detail };
  }
  const now = await callApi<StoredItem<Mold>>('GET', `/api/molds/${pupil.id}`);
  if (!now.success) return { success: false, error: now.error.detail };
  const { item, revision } = now.data;
  const saved = await callApi<StoredItem<Mold>>('PUT', `/api/molds/${pupil.id}`, {
    item: { ...item, taught: change(item.taught) },
    revision,
  });
  return saved.success
    ? { success: true, data: { mold: saved.data.item } }
    : { success: false, error: saved.error.detail };
}
