// Measures how long the main thread of the process that imports it is held at once: asked by SIGUSR2, it prints the most since the last time.
import { readFileSync } from 'node:fs';
import { isMainThread } from 'node:worker_threads';

const EVERY_MS = 1;

/** The time this thread has had a core, ms: what the machine gave to others meanwhile is not in it. Linux tells. */
function ownMs() {
  try {
    return Number(readFileSync(`/proc/self/task/${process.pid}/schedstat`, 'utf8').split(' ')[0]) / 1e6;
  } catch {
    return performance.now();
  }
}

if (isMainThread) {
  let last = ownMs();
  let longestMs = 0;
  setInterval(() => {
    const now = ownMs();
    longestMs = Math.max(longestMs, now - last);
    last = now;
  }, EVERY_MS).unref();
  process.on('SIGUSR2', () => {
    process.stderr.write(`held ${longestMs.toFixed(1)} ms\n`);
    longestMs = 0;
    last = ownMs();
  });
}
