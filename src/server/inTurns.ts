import { setImmediate } from 'node:timers/promises';

/** Waits until the parts before it are done and others have been answered. */
export type Turn = () => Promise<void>;

/** For the parts of one page that are large, such as a whole shelf and a crowded plan: between two of them this thread answers others. */
export function inTurns(): Turn {
  let last = Promise.resolve();
  return () => {
    // What came in meanwhile is looked at before the second only: the first comes before that.
    last = last.then(() => setImmediate()).then(() => setImmediate());
    return last;
  };
}

/** So long this thread may be held before others are answered. */
const HELD_MS = 10;

/** For many parts of which some may be large: a turn is waited for only where the parts since the last one took long. */
export function inTurnsWhenLong(): Turn {
  const turn = inTurns();
  let since = performance.now();
  return async () => {
    if (performance.now() - since < HELD_MS) return;
    await turn();
    since = performance.now();
  };
}
