import { useEffect, useState } from 'react';
import type { Plan } from '../../core/plan/plan';
import type { StoredPlan } from '../../core/plan/storedPlan';
import type { Draft } from './draft';

const draftKey = (id: string) => `tallow.draft.${id}`;

/** What this page keeps of a plan that is not saved yet. */
export interface OwnDraft {
  keep(plan: Plan, revision: number): void;
  /** Another tab's draft of the same plan stays. */
  drop(): void;
}

export function ownDraft(id: string): OwnDraft {
  const key = draftKey(id);
  let kept = '';
  return {
    keep(plan, revision) {
      kept = JSON.stringify({ plan, revision });
      localStorage.setItem(key, kept);
    },
    drop() {
      if (localStorage.getItem(key) === kept) localStorage.removeItem(key);
    },
  };
}

/**
 * What was not saved when the page was last left; null when there is nothing that differs from what is stored, undefined
 * while it is read. What judges it is loaded only where there is something to judge.
 */
export function useKeptDraft(stored: StoredPlan): Draft | null | undefined {
  const [kept] = useState(() => localStorage.getItem(draftKey(stored.id)));
  const [draft, setDraft] = useState<Draft | null | undefined>(kept === null ? null : undefined);
  useEffect(() => {
    if (kept === null) return;
    void import('./readDraft').then(({ readDraft }) => setDraft(readDraft(kept, stored)));
  }, [kept, stored]);
  return draft;
}
