import { useEffect, useState } from 'react';
import { type SaveQueue, type SaveState, type Send, type StoredItem, saveQueue } from './saveQueue';

const RETRY_MS = 4000;

/**
 * A save queue for as long as a view stands. It tries again while the server is down, and sends what is left when the page
 * is left.
 *
 * @param send and `onSaved` of the first drawing stay
 */
export function useSaveQueue<Item, Saved extends { revision: number }>(
  start: StoredItem<Item>,
  send: Send<Item, Saved>,
  onSaved?: (saved: Saved, item: Item, isNewest: boolean) => void,
): { queue: SaveQueue<Item>; state: SaveState } {
  const [state, setState] = useState<SaveState>({ kind: 'saved' });
  const [queue] = useState(() =>
    saveQueue(start, send, { onState: setState, ...(onSaved ? { onSaved } : {}) }),
  );

  useEffect(() => {
    if (state.kind !== 'failed' || state.problem.status !== 0) return;
    const timer = setTimeout(() => void queue.flush(), RETRY_MS);
    return () => clearTimeout(timer);
  }, [state, queue]);

  useEffect(() => {
    const leave = () => void queue.flush();
    addEventListener('pagehide', leave);
    return () => removeEventListener('pagehide', leave);
  }, [queue]);

  return { queue, state };
}
