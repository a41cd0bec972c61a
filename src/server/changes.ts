import { EventEmitter, on } from 'node:events';
import type { InstrumentReading } from '../instruments/reading';
import { Problem } from './problem';

/** Something that other screens show, too: a run has so many events now. */
export interface Change {
  run: string;
  events: number;
}

const changed = new EventEmitter().setMaxListeners(0);
/** One a browser, as a rule: more than this is no workshop. */
const MOST_LISTENING = 200;
/** A line that nothing stands in, so that a connection that is gone is noticed. */
const HEARTBEAT_MS = 15_000;

export function tellChange(change: Change): void {
  changed.emit('change', ['run', change] satisfies Told);
}

/** Relays what an instrument shows to every screen; it is kept nowhere. */
export function tellReading(shown: InstrumentReading): void {
  changed.emit('change', ['reading', shown] satisfies Told);
}

/** An event's name, and its data. */
type Told = ['run', Change] | ['reading', InstrumentReading];

/**
 * What changes from now on, as server-sent events (HTML Standard, 9.2), until the reader goes away.
 *
 * @throws Problem 503 when too many listen already
 */
export function changesFromNow(gone: AbortSignal): ReadableStream<Uint8Array> {
  if (changed.listenerCount('change') >= MOST_LISTENING)
    throw new Problem(503, 'busy', 'Too many screens listen already. Close some of them.');
  const encoder = new TextEncoder();
  const stop = new AbortController();
  gone.addEventListener('abort', () => stop.abort(), { once: true });
  let heartbeat: NodeJS.Timeout | undefined;
  return new ReadableStream({
    start(stream) {
      const send = (text: string) => stream.enqueue(encoder.encode(text));
      // From the first byte on the browser knows that it is listened to.
      send('retry: 1000\n\n');
      heartbeat = setInterval(() => send(':\n\n'), HEARTBEAT_MS).unref();
      void (async () => {
        try {
          for await (const [[name, data]] of on(changed, 'change', { signal: stop.signal }))
            send(`event: ${name}\ndata: ${JSON.stringify(data)}\n\n`);
        } catch {
          // It has gone away.
        } finally {
          clearInterval(heartbeat);
        }
      })();
    },
    cancel() {
      clearInterval(heartbeat);
      stop.abort();
    },
  });
}
