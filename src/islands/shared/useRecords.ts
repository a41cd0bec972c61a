import { useState } from 'react';
import { type ApiProblem, callApi } from './api';

export interface StoredItem<Item> {
  item: Item;
  revision: number;
}

/** The records of one list, kept with the server: added and saved against the revision they were read at. */
export function useRecords<Item extends { id: string; name: string }>(
  address: string,
  start: StoredItem<Item>[],
) {
  const [records, setRecords] = useState(start);

  const put = (stored: StoredItem<Item>) =>
    setRecords((before) =>
      [...before.filter(({ item }) => item.id !== stored.item.id), stored].sort((a, b) =>
        a.item.name.localeCompare(b.item.name),
      ),
    );

  /** Adds a record that has no id yet, or saves one that has. Answers the problem, or null when it is saved. */
  async function save(item: Omit<Item, 'id'>, was: StoredItem<Item> | null): Promise<ApiProblem | null> {
    const answer = was
      ? await callApi<StoredItem<Item>>('PUT', `${address}/${was.item.id}`, {
          item: { ...item, id: was.item.id },
          revision: was.revision,
        })
      : await callApi<StoredItem<Item>>('POST', address, item);
    if (!answer.success) return answer.error;
    put(answer.data);
    return null;
  }

  /** Takes a record away; answers the problem, or null when it is gone. */
  async function remove(id: string): Promise<ApiProblem | null> {
    const answer = await callApi('DELETE', `${address}/${id}`);
    if (!answer.success) return answer.error;
    setRecords((before) => before.filter(({ item }) => item.id !== id));
    return null;
  }

  return { records, save, put, remove };
}
