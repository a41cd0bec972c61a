import type { ApiAnswer, ApiProblem } from './api';

/** A record as it is stored, with the count of its saves. */
export interface StoredItem<Item> {
  item: Item;
  revision: number;
}

export type SaveState =
  | { kind: 'saved' | 'unsaved' | 'saving' }
  | { kind: 'failed' | 'conflict'; problem: ApiProblem };

/** Stores an item over the revision it was made from. */
export type Send<Item, Saved extends { revision: number }> = (
  item: Item,
  revision: number,
) => Promise<ApiAnswer<Saved>>;

interface Listener<Item, Saved> {
  onState?(state: SaveState): void;
  /** `isNewest`: nothing else was wanted meanwhile. */
  onSaved?(saved: Saved, item: Item, isNewest: boolean): void;
}

/** Saves one record, one save at a time, until what is stored is what was wanted last. */
export interface SaveQueue<Item> {
  /** What shall be stored; nothing is sent before `flush`. */
  want(item: Item): void;
  /** True when what is wanted is stored. After a conflict it sends nothing until one side was chosen. */
  flush(): Promise<boolean>;
  state(): SaveState;
  wanted(): Item;
  /** The revision that the next save is made from. */
  revision(): number;
  /** Saves from another revision, where nothing is on its way. */
  rebase(revision: number): void;
  /** After a conflict: mine is saved over theirs, which is at `theirRevision`. */
  keepMine(theirRevision: number): Promise<boolean>;
  /** After a conflict: theirs is what is stored and wanted. */
  takeTheirs(theirs: Item, theirRevision: number): void;
}

export function saveQueue<Item, Saved extends { revision: number }>(
  start: StoredItem<Item>,
  send: Send<Item, Saved>,
  { onState, onSaved }: Listener<Item, Saved> = {},
): SaveQueue<Item> {
  let stored = start;
  let wanted = start.item;
  let state: SaveState = { kind: 'saved' };
  let running: Promise<boolean> | null = null;

  function be(next: SaveState) {
    if (next.kind === state.kind && !('problem' in next)) return;
    state = next;
    onState?.(next);
  }
  async function saveAll(): Promise<boolean> {
    while (wanted !== stored.item) {
      const item = wanted;
      be({ kind: 'saving' });
      const answer = await send(item, stored.revision);
      if (!answer.success) {
        const kind = answer.error.code === 'changed-elsewhere' ? 'conflict' : 'failed';
        be({ kind, problem: answer.error });
        return false;
      }
      stored = { item, revision: answer.data.revision };
      onSaved?.(answer.data, item, wanted === item);
    }
    be({ kind: 'saved' });
    return true;
  }
  const queue: SaveQueue<Item> = {
    want(item) {
      wanted = item;
      if (running === null && state.kind !== 'conflict')
        be({ kind: item === stored.item ? 'saved' : 'unsaved' });
    },
    flush() {
      if (state.kind === 'conflict') return Promise.resolve(false);
      running ??= saveAll().finally(() => {
        running = null;
      });
      return running;
    },
    state: () => state,
    wanted: () => wanted,
    revision: () => stored.revision,
    rebase(revision) {
      if (running === null) stored = { ...stored, revision };
    },
    keepMine(theirRevision) {
      stored = { ...stored, revision: theirRevision };
      be({ kind: 'unsaved' });
      return queue.flush();
    },
    takeTheirs(theirs, theirRevision) {
      stored = { item: theirs, revision: theirRevision };
      wanted = theirs;
      be({ kind: 'saved' });
    },
  };
  return queue;
}
