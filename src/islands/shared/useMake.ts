import { useState } from 'react';
import { callApi } from './api';
import type { StoredItem } from './saveQueue';

/**
 * Makes a record and goes on to its page, once however often it is pressed.
 *
 * @param path of its endpoint and of its pages
 */
export function useMake<Item extends { id: string }>(path: 'products' | 'purchases') {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  async function make(item: Omit<Item, 'id'>) {
    if (busy) return;
    setBusy(true);
    const answer = await callApi<StoredItem<Item>>('POST', `/api/${path}`, item);
    if (answer.success) location.assign(`/${path}/${encodeURIComponent(answer.data.item.id)}`);
    else {
      setProblem(answer.error.detail);
      setBusy(false);
    }
  }
  return { busy, problem, make };
}
