import { useCallback, useEffect, useMemo, useReducer } from 'react';
import type { Plan } from '../../core/plan/plan';
import type { StoredPlan } from '../../core/plan/storedPlan';
import type { Draft } from './draft';
import { planHistory, startHistory, typingIn } from './planHistory';
import { useAutosave } from './useAutosave';

/** A plan that is edited, step by step back and forward, and saved as it changes. */
export function useEditedPlan(stored: StoredPlan, draft: Draft | null) {
  const [history, dispatch] = useReducer(planHistory, stored.plan, (plan) =>
    draft ? planHistory(startHistory(plan), { kind: 'replace', plan: draft.plan }) : startHistory(plan),
  );
  const save = useAutosave(stored, history.present, draft?.revision ?? stored.revision);
  const edit = useCallback((plan: Plan, about: string) => {
    dispatch({ kind: 'edit', plan, about, atMs: Date.now() });
  }, []);
  const undo = useCallback(() => dispatch({ kind: 'undo' }), []);
  const redo = useCallback(() => dispatch({ kind: 'redo' }), []);
  useUndoKeys(undo, redo);
  return {
    plan: history.present,
    typing: useMemo(() => typingIn(history), [history]),
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    edit,
    undo,
    redo,
    save,
    /** After a conflict: theirs from here on, one step back to mine. */
    takeTheirs(plan: Plan, revision: number) {
      save.takeTheirs(plan, revision);
      dispatch({ kind: 'replace', plan });
    },
  };
}

function useUndoKeys(undo: () => void, redo: () => void) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      if (key === 'y' || event.shiftKey) redo();
      else undo();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [undo, redo]);
}
