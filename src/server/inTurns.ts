import { setImmediate } from 'node:timers/promises';

/** Waits until the parts before it are done and others have been answered. */
export type Turn = () => Promise<void>;

/** For the parts of one page that is large: between two of them this thread answers others. */
export function inTurns(): Turn {
  let last = Promise.resolve();
  return () => {
    last = last.then(() => setImmediate());
    return last;
  };
}
