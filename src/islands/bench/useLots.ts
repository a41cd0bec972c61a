import { useEffect, useRef, useState } from 'react';
import { lotAtScale } from '../../core/run/lotAtScale';
import type { Run } from '../../core/run/run';
import type { TaskState } from '../../core/run/taskStates';
import { weighedMaterial } from '../../core/run/usedMaterials';
import type { RunStock } from '../../core/stock/runStock';
import type { LotStock } from '../../core/stock/stock';
import { callApi } from '../shared/api';
import { useBenchWorld } from './benchWorld';

/** The lots of what a task weighs, and the one that it is weighed from. */
export interface LotsOfTask {
  lots: readonly LotStock[];
  /** null where the book knows none. */
  lot: LotStock | null;
  choose(lotId: string): void;
}

/**
 * What is left of the lots that a run weighs from, asked again once the server has what happened; without it as it was
 * last.
 */
export function useLots(
  { id, events, snapshot: { sheet } }: Run,
  tasks: readonly TaskState[],
  start: RunStock,
  waiting: number,
): { stock: RunStock; ofTask(task: TaskState | null): LotsOfTask } {
  const isMade = useBenchWorld().rehearsal === null;
  const [stock, setStock] = useState(start);
  const [chosen, setChosen] = useState<ReadonlyMap<string, string>>(new Map());
  const seen = useRef(events.length);
  const { length } = events;
  useEffect(() => {
    if (!isMade || waiting > 0 || seen.current === length) return;
    seen.current = length;
    const stop = new AbortController();
    void callApi<{ lots: [string, LotStock[]][]; taken: [string, number][] }>(
      'GET',
      `/api/runs/${encodeURIComponent(id)}/lots`,
      undefined,
      { signal: stop.signal },
    ).then((answer) => {
      if (answer.success) setStock({ lots: new Map(answer.data.lots), taken: new Map(answer.data.taken) });
    });
    return () => stop.abort();
  }, [id, length, waiting, isMade]);
  return {
    stock,
    ofTask(task) {
      const materialId = (task && weighedMaterial(sheet, task)?.id) ?? '';
      const lots = stock.lots.get(materialId) ?? [];
      const said = lots.find((lot) => lot.id === chosen.get(materialId));
      return {
        lots,
        lot: said ?? lotAtScale(tasks, sheet, materialId, lots),
        choose: (lotId) => setChosen(new Map(chosen).set(materialId, lotId)),
      };
    },
  };
}
