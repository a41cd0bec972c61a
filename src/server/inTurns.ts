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
