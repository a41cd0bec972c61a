import { useCallback, useEffect, useRef, useState } from 'react';
import type { Plan } from '../../core/plan/plan';
import type { StoredPlan } from '../../core/plan/storedPlan';
import { type ApiProblem, callApi } from '../shared/api';
import { draftKey } from './keptDraft';

export type SaveState =
  | { is: 'saved' | 'unsaved' | 'saving' }
  | { is: 'failed'; problem: ApiProblem }
  | { is: 'conflict'; problem: ApiProblem };

const QUIET_MS = 500;
const RETRY_MS = 4000;
/**
 * Saves a plan soon after every change, one save at a time, and keeps what is not saved yet in the browser, so
 * that a reload, a crash or a server that is down loses nothing.
 */
export function useAutosave(stored: StoredPlan, present: Plan, startRevision: number) {
  const [state, setState] = useState<SaveState>({ is: 'saved' });
  const [saved, setSaved] = useState(stored);
  const wanted = useRef(present);
  const savedPlan = useRef(stored.plan);
  const revision = useRef(startRevision);
  const keptText = useRef('');
  const inFlight = useRef<Promise<boolean> | null>(null);

  const keepDraft = useCallback(
    (plan: Plan) => {
      keptText.current = JSON.stringify({ plan, revision: revision.current });
      localStorage.setItem(draftKey(stored.id), keptText.current);
    },
    [stored.id],
  );

  /** Another tab's draft of the same plan stays. */
  const dropDraft = useCallback(() => {
    const key = draftKey(stored.id);
    if (localStorage.getItem(key) === keptText.current) localStorage.removeItem(key);
  }, [stored.id]);

  const saveOnce = useCallback(async (): Promise<boolean> => {
    const plan = wanted.current;
    if (plan === savedPlan.current) return true;
    setState({ is: 'saving' });
    const answer = await callApi<StoredPlan>(
      'PUT',
      `/api/plans/${stored.id}`,
      { plan, revision: revision.current },
      { keepalive: true },
    );
    if (!answer.success) {
      setState({
        is: answer.error.code === 'changed-elsewhere' ? 'conflict' : 'failed',
        problem: answer.error,
      });
      return false;
    }
    revision.current = answer.data.revision;
    savedPlan.current = plan;
    setSaved(answer.data);
    if (wanted.current === plan) {
      dropDraft();
      setState({ is: 'saved' });
    } else {
      // Typed on meanwhile: what is kept now follows from the save that just went through.
      keepDraft(wanted.current);
    }
    return true;
  }, [stored.id, keepDraft, dropDraft]);

  /** Saves until what is saved is what is wanted; false when it could not. */
  const flush = useCallback(async (): Promise<boolean> => {
    while (inFlight.current) await inFlight.current;
    while (wanted.current !== savedPlan.current) {
      inFlight.current = saveOnce();
      const done = await inFlight.current;
      inFlight.current = null;
      if (!done) return false;
    }
    return true;
  }, [saveOnce]);

  useEffect(() => {
    wanted.current = present;
    if (present === savedPlan.current) {
      // Undone back to what is saved. A save on its way goes on by itself until this is what is stored.
      if (inFlight.current === null) {
        dropDraft();
        setState((before) => (before.is === 'unsaved' ? { is: 'saved' } : before));
      }
      return;
    }
    setState((before) => (before.is === 'conflict' || before.is === 'unsaved' ? before : { is: 'unsaved' }));
    // Behind the paint: writing to the browser's storage would hold up the key that is being typed.
    const draft = setTimeout(() => keepDraft(present));
    const timer = setTimeout(() => {
      setState((before) => {
        if (before.is !== 'conflict') void flush();
        return before;
      });
    }, QUIET_MS);
    return () => {
      clearTimeout(draft);
      clearTimeout(timer);
    };
  }, [present, keepDraft, dropDraft, flush]);

  useEffect(() => {
    if (state.is !== 'failed' || state.problem.status !== 0) return;
    const timer = setTimeout(() => void flush(), RETRY_MS);
    return () => clearTimeout(timer);
  }, [state, flush]);

  useEffect(() => {
    const leave = () => void flush();
    addEventListener('pagehide', leave);
    return () => removeEventListener('pagehide', leave);
  }, [flush]);

  /** After a conflict: writes over theirs, which is at `theirRevision`. */
  const keepMine = useCallback(
    (theirRevision: number) => {
      revision.current = theirRevision;
      setState({ is: 'unsaved' });
      void flush();
    },
    [flush],
  );

  /** After a conflict: theirs is what is saved, and mine is given up or has been saved as a copy. */
  const takeTheirs = useCallback(
    (theirs: Plan, theirRevision: number) => {
      revision.current = theirRevision;
      savedPlan.current = theirs;
      wanted.current = theirs;
      dropDraft();
      setState({ is: 'saved' });
    },
    [dropDraft],
  );

  return { state, saved, flush, keepMine, takeTheirs };
}
