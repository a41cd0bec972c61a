import { setImmediate } from 'node:timers/promises';

/** Waits until the parts before it are done and others have been answered. */
export type Turn = () => Promise<void>;

let last = Promise.resolve();
let turnedAt = 0;

/**
 * For work in parts that are large, such as a whole shelf or a crowded plan: between two parts this thread answers others,
 * of whatever requests they are. Those that wait take it one by one: each for itself, they would all go on at once.
 */
export const turn: Turn = () => {
  // What came in meanwhile is looked at before the second only: the first comes before that.
  last = last
    .then(() => setImmediate())
    .then(() => setImmediate())
    .then(() => {
      turnedAt = performance.now();
    });
  return last;
};

/** So long this thread may be held before others are answered. */
const HELD_MS = 10;

/** For many parts of which some may be large: a turn is waited for only where the parts since the last one took long. */
export const turnWhenLong: Turn = async () => {
  if (performance.now() - turnedAt >= HELD_MS) await turn();
};
