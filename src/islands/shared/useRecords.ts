import { useRef, useState } from 'react';
import { type ApiProblem, callApi } from './api';
import { type SaveQueue, type StoredItem, saveQueue } from './saveQueue';

/** The records of one list, kept with the server: added and saved against the revision they were read at. */
export function useRecords<Item extends { id: string; name: string }>(
  address: string,
  start: StoredItem<Item>[],
) {
  const [records, setRecords] = useState(start);
  const queues = useRef(new Map<string, SaveQueue<Item>>());

  const put = (stored: StoredItem<Item>) =>
    setRecords((before) =>
      [...before.filter(({ item }) => item.id !== stored.item.id), stored].sort((a, b) =>
        a.item.name.localeCompare(b.item.name),
      ),
    );

  const queueOf = (was: StoredItem<Item>): SaveQueue<Item> => {
    const { id } = was.item;
    const known = queues.current.get(id);
    if (known) return known;
    const queue = saveQueue<Item, StoredItem<Item>>(
      was,
      (item, revision) => callApi('PUT', `${address}/${encodeURIComponent(id)}`, { item, revision }),
      { onSaved: put },
    );
    queues.current.set(id, queue);
    return queue;
  };

  async function add(item: Omit<Item, 'id'>): Promise<ApiProblem | null> {
    const answer = await callApi<StoredItem<Item>>('POST', address, item);
    if (!answer.success) return answer.error;
    put(answer.data);
    return null;
  }

  /** Adds a record that has no id yet, or saves one that has. Answers the problem, or null when it is saved. */
  async function save(item: Omit<Item, 'id'>, was: StoredItem<Item> | null): Promise<ApiProblem | null> {
    if (!was) return add(item);
    const queue = queueOf(was);
    const wanted = { ...item, id: was.item.id } as Item;
    // What was read at an older revision than another save's is for the server to refuse.
    queue.rebase(was.revision);
    queue.want(wanted);
    if (await queue.flush()) return null;
    const state = queue.state();
    // Chosen anew from here on: the form saves against the revision that it was told of.
    queues.current.delete(was.item.id);
    return 'problem' in state ? state.problem : null;
  }

  /** Takes a record away; answers the problem, or null when it is gone. */
  async function remove(id: string): Promise<ApiProblem | null> {
    const answer = await callApi('DELETE', `${address}/${encodeURIComponent(id)}`);
    if (!answer.success) return answer.error;
    queues.current.delete(id);
    setRecords((before) => before.filter(({ item }) => item.id !== id));
    return null;
  }

  return { records, save, put, remove };
}
