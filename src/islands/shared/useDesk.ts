import { type ComponentProps, useEffect, useRef, useState } from 'react';
import { callApi } from './api';
import type { RecordProblem } from './RecordProblem';
import type { SaveState, StoredItem } from './saveQueue';
import { useSaveQueue } from './useSaveQueue';

const QUIET_MS = 500;
const IN_ONE_GO_MS = 1500;

/** A record that is saved a moment after each change, with a way back. */
export interface Desk<Item> {
  item: Item;
  /** As it was last when it could be saved. */
  saved: Item;
  state: SaveState['kind'];
  /** Why it can't be saved as it stands; null where it can. */
  fault: string | null;
  change(part: Partial<Item>): void;
  canUndo: boolean;
  undo(): void;
  /** Saves at once what waits. */
  flush(): Promise<void>;
  /** What the server says against it; null where it says nothing. */
  problem: ComponentProps<typeof RecordProblem> | null;
}

/** A page that is asked for again may come back before what was sent on leaving it is stored. */
function wasOpenBefore(): boolean {
  const [entry] = performance.getEntriesByType('navigation');
  return entry instanceof PerformanceNavigationTiming && entry.type !== 'navigate';
}

/**
 * @param path of its endpoint, without its id
 * @param faultOf why it can't be saved as it stands
 */
export function useDesk<Item extends { id: string }>(
  start: StoredItem<Item>,
  path: string,
  faultOf: (item: Item) => string | null,
): Desk<Item> {
  const [item, setItem] = useState(start.item);
  const [past, setPast] = useState<Item[]>([]);
  const { queue, state } = useSaveQueue<Item, StoredItem<Item>>(start, (next, revision) =>
    callApi('PUT', `${path}/${encodeURIComponent(next.id)}`, { item: next, revision }, { keepalive: true }),
  );
  const fault = faultOf(item);
  useEffect(() => {
    if (fault !== null) return;
    queue.want(item);
    const timer = setTimeout(() => void queue.flush(), QUIET_MS);
    return () => clearTimeout(timer);
  }, [item, fault, queue]);
  useEffect(() => {
    if (!wasOpenBefore()) return;
    void callApi<StoredItem<Item>>('GET', `${path}/${encodeURIComponent(start.item.id)}`).then((answer) => {
      if (!answer.success || answer.data.revision <= queue.revision() || queue.state().kind !== 'saved')
        return;
      queue.takeTheirs(answer.data.item, answer.data.revision);
      setItem(answer.data.item);
    });
  }, [path, start.item.id, queue]);
  const typed = useRef({ what: '', atMs: 0 });
  return {
    item,
    saved: fault === null ? item : queue.wanted(),
    state: state.kind,
    fault,
    change(part) {
      const now = { what: Object.keys(part).join(), atMs: Date.now() };
      // What is typed in one go is one step back.
      const goesOn = now.what === typed.current.what && now.atMs - typed.current.atMs < IN_ONE_GO_MS;
      typed.current = now;
      if (!goesOn) setPast([...past, item]);
      setItem({ ...item, ...part });
    },
    canUndo: past.length > 0,
    undo() {
      const before = past.at(-1);
      if (!before) return;
      setPast(past.slice(0, -1));
      typed.current = { what: '', atMs: 0 };
      setItem(before);
    },
    async flush() {
      await queue.flush();
    },
    problem:
      'problem' in state
        ? {
            problem: state.problem,
            onKeepMine: () => void queue.keepMine(state.problem.revision ?? queue.revision()),
            onTakeTheirs() {
              const theirs = state.problem.current as Item;
              queue.takeTheirs(theirs, state.problem.revision ?? 0);
              setItem(theirs);
              setPast([]);
            },
          }
        : null,
  };
}
