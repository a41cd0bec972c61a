import { useEffect, useState } from 'react';
import type { Plan } from '../../core/plan/plan';
import type { StoredPlan } from '../../core/plan/storedPlan';
import { callApi } from '../shared/api';
import { useSaveQueue } from '../shared/useSaveQueue';
import { type OwnDraft, ownDraft } from './keptDraft';

const QUIET_MS = 500;

/**
 * Saves a plan soon after every change, and keeps what is not saved yet in the browser, so that a reload, a crash or a
 * server that is down loses nothing.
 */
export function useAutosave(stored: StoredPlan, present: Plan, startRevision: number) {
  const [saved, setSaved] = useState(stored);
  const [draft] = useState<OwnDraft>(() => ownDraft(stored.id));
  const { queue, state } = useSaveQueue<Plan, StoredPlan>(
    { item: stored.plan, revision: startRevision },
    (plan, revision) => callApi('PUT', `/api/plans/${stored.id}`, { plan, revision }, { keepalive: true }),
    (answer, _, isNewest) => {
      setSaved(answer);
      if (isNewest) draft.drop();
      // Typed on meanwhile: what is kept now follows from the save that just went through.
      else draft.keep(queue.wanted(), answer.revision);
    },
  );

  useEffect(() => {
    queue.want(present);
    if (queue.state().kind === 'saved') {
      // Undone back to what is saved.
      draft.drop();
      return;
    }
    // Behind the paint: writing to the browser's storage would hold up the key that is being typed.
    const keep = setTimeout(() => draft.keep(present, queue.revision()));
    const save = setTimeout(() => void queue.flush(), QUIET_MS);
    return () => {
      clearTimeout(keep);
      clearTimeout(save);
    };
  }, [present, queue, draft]);

  return {
    state,
    saved,
    flush: queue.flush,
    keepMine: queue.keepMine,
    takeTheirs(theirs: Plan, theirRevision: number) {
      queue.takeTheirs(theirs, theirRevision);
      draft.drop();
    },
  };
}
