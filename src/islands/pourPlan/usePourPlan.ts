import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Sheet } from '../../core/plan/sheet';
import { keptPourPlans, pourPlanKey } from '../../core/pourPlan/keptPourPlans';
import type { PourPlan } from '../../core/pourPlan/pourPlan';
import type { PourRules } from '../../core/pourPlan/pourRules';
import type { PourPlanAnswer, PourPlanRequest } from '../../workers/pourPlanProtocol';

export type PourPlanState =
  | { is: 'none' }
  | { is: 'working'; done: number; of: number }
  | { is: 'whole' }
  /** Stopped by hand: what is shown may be of the plan as it was, or without ranges. */
  | { is: 'stopped' }
  | { is: 'fault'; reason: string };

export interface PourPlanView {
  /** The newest there is; it may be of the plan as it was a moment ago. */
  pourPlan: PourPlan | null;
  /** It is of the plan as it is now. */
  isCurrent: boolean;
  state: PourPlanState;
  cancel(): void;
  again(): void;
}

/** Kept beyond the part that asked, for as long as the page is open. */
const kept = keptPourPlans();

/** The pour plan of a sheet, made in a worker that goes on with the newest sheet only. */
export function usePourPlan(sheet: Sheet | null, rules: PourRules): PourPlanView {
  const worker = useRef<Worker | null>(null);
  const [shown, setShown] = useState<{ key: string; pourPlan: PourPlan } | null>(null);
  const [state, setState] = useState<PourPlanState>({ is: 'none' });
  const [turn, setTurn] = useState(0);
  const key = useMemo(() => (sheet ? pourPlanKey(sheet, rules) : null), [sheet, rules]);
  const asked = useRef<string | null>(null);
  const stopped = useRef<string | null>(null);

  useEffect(() => () => worker.current?.terminate(), []);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key says all that the sheet and the rules mean here
  useEffect(() => {
    if (key === null || sheet === null) {
      asked.current = null;
      worker.current?.postMessage({ ask: 'cancel' } satisfies PourPlanRequest);
      setState({ is: 'none' });
      return;
    }
    if (stopped.current === key) return;
    const found = kept.find(key);
    asked.current = key;
    if (found) {
      worker.current?.postMessage({ ask: 'cancel' } satisfies PourPlanRequest);
      setShown({ key, pourPlan: found });
      setState({ is: 'whole' });
      return;
    }
    worker.current ??= startWorker(
      (answer) => {
        if (answer.is === 'taught' || answer.key !== asked.current) return;
        if (answer.is === 'fault') return setState({ is: 'fault', reason: answer.reason });
        if (answer.is === 'progress') return setState({ is: 'working', done: answer.done, of: answer.of });
        setShown({ key: answer.key, pourPlan: answer.pourPlan });
        if (answer.is === 'first') return setState({ is: 'working', done: 0, of: answer.of });
        kept.keep(answer.key, answer.pourPlan);
        setState({ is: 'whole' });
      },
      () => {
        worker.current = null;
        setState({ is: 'fault', reason: 'its worker could not be started' });
      },
    );
    setState({ is: 'working', done: 0, of: 0 });
    worker.current.postMessage({ ask: 'pour-plan', key, sheet, rules } satisfies PourPlanRequest);
  }, [key, turn]);

  const cancel = useCallback(() => {
    stopped.current = asked.current;
    asked.current = null;
    worker.current?.postMessage({ ask: 'cancel' } satisfies PourPlanRequest);
    setState({ is: 'stopped' });
  }, []);
  const again = useCallback(() => {
    stopped.current = null;
    setTurn((now) => now + 1);
  }, []);
  return {
    pourPlan: key === null ? null : (shown?.pourPlan ?? null),
    isCurrent: shown !== null && shown.key === key,
    state,
    cancel,
    again,
  };
}

function startWorker(onAnswer: (answer: PourPlanAnswer) => void, onFailure: () => void): Worker {
  const started = new Worker(new URL('../../workers/pourPlan.worker.ts', import.meta.url), {
    type: 'module',
  });
  started.onmessage = ({ data }: MessageEvent<PourPlanAnswer>) => onAnswer(data);
  started.onerror = onFailure;
  return started;
}
