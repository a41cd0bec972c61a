import { Semaphore, withTimeout } from 'async-mutex';
import { Problem } from './problem';

/** So much of what was sent is in memory at once, from its arrival until it is answered: two of the largest files. */
const MOST_MB = 40;
/** What is sent meanwhile is not read before there is room for it. */
const LONGEST_WAIT_MS = 20_000;

const room = withTimeout(
  new Semaphore(MOST_MB),
  LONGEST_WAIT_MS,
  new Problem(503, 'busy', 'Too much is being sent at once. Nothing was saved. Try again in a moment.'),
);
const TAKEN = new WeakMap<Request, () => void>();

/**
 * Waits for room for the body of a request, which it has until `leaveRoom`.
 *
 * @param bytes at most 40 MB
 * @throws Problem 503 when others take it for too long
 */
export async function takeRoom(request: Request, bytes: number): Promise<void> {
  // Whole megabytes: a semaphore goes through all that it has, one by one.
  const [, leave] = await room.acquire(Math.ceil(bytes / 1e6));
  TAKEN.set(request, leave);
}

/** Gives the room of a request that is answered to others. */
export function leaveRoom(request: Request): void {
  TAKEN.get(request)?.();
}
