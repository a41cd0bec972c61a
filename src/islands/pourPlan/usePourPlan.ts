import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Finding } from '../../core/checks/finding';
import type { Sheet } from '../../core/plan/sheet';
import { keptPourPlans, pourPlanKey } from '../../core/schedule/keptPourPlans';
import type { PourPlan } from '../../core/schedule/pourPlan';
import type { PourRules } from '../../core/schedule/pourRules';
import type { PourPlanAnswer, PourPlanRequest, ToldPourPlan } from '../../workers/pourPlanProtocol';

export type PourPlanState =
  | { kind: 'none' }
  | { kind: 'working'; done: number; of: number }
  | { kind: 'whole' }
  /** Stopped by hand: what is shown may be of the plan as it was, or without ranges. */
  | { kind: 'stopped' }
  | { kind: 'fault'; reason: string };

export interface PourPlanView {
  /** The newest there is; it may be of the plan as it was a moment ago. */
  pourPlan: PourPlan | null;
  /** What it tells against the plan, but for the clock. */
  heat: Finding[];
  /** The sheet that it is of. */
  ofSheet: Sheet | null;
  /** It is of the plan as it is now. */
  isCurrent: boolean;
  state: PourPlanState;
  cancel(): void;
  again(): void;
}

/** Kept beyond the part that asked, for as long as the page is open. */
const kept = keptPourPlans<ToldPourPlan>();

const NONE: Finding[] = [];

/** A hand that types on strikes the next key sooner. */
const PAUSE_MS = 150;

/**
 * The pour plan of a sheet, made in a worker that goes on with the newest sheet only.
 *
 * @param isTyping a text is being typed: it begins after a pause, and the next key stops it
 */
export function usePourPlan(sheet: Sheet | null, rules: PourRules, isTyping = false): PourPlanView {
  const worker = useRef<Worker | null>(null);
  const [shown, setShown] = useState<({ key: string; sheet: Sheet } & ToldPourPlan) | null>(null);
  const [state, setState] = useState<PourPlanState>({ kind: 'none' });
  const [turn, setTurn] = useState(0);
  const rested = useRested(sheet, isTyping);
  const key = useMemo(() => (rested ? pourPlanKey(rested, rules) : null), [rested, rules]);
  const asked = useRef<string | null>(null);
  const askedSheet = useRef<Sheet | null>(null);
  const stopped = useRef<string | null>(null);

  useEffect(() => () => worker.current?.terminate(), []);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key says all that the sheet and the rules mean here
  useEffect(() => {
    if (key === null || rested === null) {
      asked.current = null;
      worker.current?.postMessage({ kind: 'cancel' } satisfies PourPlanRequest);
      setState({ kind: 'none' });
      return;
    }
    if (stopped.current === key) return;
    const found = kept.find(key);
    asked.current = key;
    askedSheet.current = rested;
    if (found) {
      worker.current?.postMessage({ kind: 'cancel' } satisfies PourPlanRequest);
      setShown({ key, sheet: rested, ...found });
      setState({ kind: 'whole' });
      return;
    }
    worker.current ??= startWorker(
      (answer) => {
        if (answer.kind === 'taught' || answer.key !== asked.current) return;
        if (answer.kind === 'fault') return setState({ kind: 'fault', reason: answer.reason });
        if (answer.kind === 'progress')
          return setState({ kind: 'working', done: answer.done, of: answer.of });
        const of = askedSheet.current;
        if (of) setShown({ key: answer.key, sheet: of, ...answer.told });
        if (answer.kind === 'first') return setState({ kind: 'working', done: 0, of: answer.of });
        kept.keep(answer.key, answer.told);
        setState({ kind: 'whole' });
      },
      () => {
        worker.current = null;
        setState({ kind: 'fault', reason: 'its worker could not be started' });
      },
    );
    setState({ kind: 'working', done: 0, of: 0 });
    worker.current.postMessage({ kind: 'pour-plan', key, sheet: rested, rules } satisfies PourPlanRequest);
  }, [key, turn]);

  const isBehind = rested !== sheet;
  const brokenOff = useRef(false);
  useEffect(() => {
    if (isBehind && asked.current !== null && !kept.find(asked.current)) {
      // What was begun before the key takes the time of the next one, and is likely of no use.
      worker.current?.postMessage({ kind: 'cancel' } satisfies PourPlanRequest);
      asked.current = null;
      brokenOff.current = true;
    }
    if (!isBehind && brokenOff.current) {
      brokenOff.current = false;
      // What was typed changed nothing here, so nothing else asks for it again.
      if (asked.current === null) setTurn((now) => now + 1);
    }
  }, [isBehind]);

  const cancel = useCallback(() => {
    stopped.current = asked.current ?? key;
    brokenOff.current = false;
    asked.current = null;
    worker.current?.postMessage({ kind: 'cancel' } satisfies PourPlanRequest);
    setState({ kind: 'stopped' });
  }, [key]);
  const again = useCallback(() => {
    stopped.current = null;
    setTurn((now) => now + 1);
  }, []);
  const pourPlan = sheet === null ? null : (shown?.pourPlan ?? null);
  const heat = shown?.heat ?? NONE;
  const ofSheet = shown?.sheet ?? null;
  const isCurrent = shown !== null && shown.key === key && !isBehind;
  return useMemo(
    () => ({ pourPlan, heat, ofSheet, isCurrent, state, cancel, again }),
    [pourPlan, heat, ofSheet, isCurrent, state, cancel, again],
  );
}

/** The sheet, or while somebody types the one from before, until there is a pause. */
function useRested(sheet: Sheet | null, isTyping: boolean): Sheet | null {
  const rested = useRef(sheet);
  const [, setPaused] = useState(0);
  useEffect(() => {
    if (!isTyping) {
      rested.current = sheet;
      return;
    }
    if (rested.current === sheet) return;
    const timer = setTimeout(() => {
      rested.current = sheet;
      setPaused((count) => count + 1);
    }, PAUSE_MS);
    return () => clearTimeout(timer);
  }, [sheet, isTyping]);
  return isTyping ? rested.current : sheet;
}

function startWorker(onAnswer: (answer: PourPlanAnswer) => void, onFailure: () => void): Worker {
  const started = new Worker(new URL('../../workers/pourPlan.worker.ts', import.meta.url), {
    type: 'module',
  });
  started.onmessage = ({ data }: MessageEvent<PourPlanAnswer>) => onAnswer(data);
  started.onerror = onFailure;
  return started;
}
