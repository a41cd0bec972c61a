import { useRef, useState } from 'react';
import { type ApiProblem, callApi } from './api';
import { type SaveQueue, type StoredItem, saveQueue } from './saveQueue';

export type RecordKind = 'material' | 'mold' | 'jug' | 'scale' | 'product';

/** What was done to a record last, and how it is undone. */
export interface LastWrite<Item> {
  item: Item;
  did: 'saved' | 'taken away';
  /** What it was at before. */
  revision: number;
  /** What it is at now; null where it is gone. */
  from: number | null;
}

/** The records of one list, kept with the server: added and saved against the revision they were read at. */
export function useRecords<Item extends { id: string; name: string }>(
  address: string,
  /** As its versions are called. */
  kind: RecordKind,
  start: StoredItem<Item>[],
) {
  const [records, setRecords] = useState(start);
  const [last, setLast] = useState<LastWrite<Item> | null>(null);
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
    if (await queue.flush()) {
      const from = queue.revision();
      if (from !== was.revision) setLast({ item: wanted, did: 'saved', revision: was.revision, from });
      return null;
    }
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
    const gone = records.find(({ item }) => item.id === id);
    if (gone) setLast({ item: gone.item, did: 'taken away', revision: gone.revision, from: null });
    setRecords((before) => before.filter(({ item }) => item.id !== id));
    return null;
  }

  /** Takes back what was done last; answers the problem, or null when it is as before. */
  async function undo(): Promise<ApiProblem | null> {
    if (!last) return null;
    const { id } = last.item;
    const answer = await callApi<StoredItem<Item>>(
      'POST',
      `/api/versions/${kind}/${encodeURIComponent(id)}`,
      { revision: last.revision, from: last.from },
    );
    if (!answer.success) return answer.error;
    queues.current.delete(id);
    put(answer.data);
    setLast(null);
    return null;
  }

  return { kind, records, save, put, remove, last, undo };
}
