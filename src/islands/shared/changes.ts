import type { InstrumentReading } from '../../instruments/reading';
import type { Change, Heard } from '../../workers/changesProtocol';

interface Listener {
  /** A run has so many events at the server now. */
  onChange(change: Change): void;
  /** The server answers again, or for the first time: something may have been missed. */
  onThere(): void;
  onAway(): void;
  onReading?(shown: InstrumentReading): void;
}

/**
 * Listens to what other screens do. All pages of a browser share one connection where it has shared workers; where it
 * has none, as on some tablets, each page has its own.
 *
 * @returns stops it
 */
export function listenToChanges(listener: Listener): () => void {
  const tell = (told: Heard) => {
    if (told === 'there') listener.onThere();
    else if (told === 'away') listener.onAway();
    else if ('instrument' in told) listener.onReading?.(told);
    else listener.onChange(told);
  };
  if ('SharedWorker' in window) {
    const worker = new SharedWorker(new URL('../../workers/changes.worker.ts', import.meta.url), {
      type: 'module',
      name: 'tallow-changes',
    });
    worker.port.onmessage = ({ data }: MessageEvent<Heard>) => tell(data);
    return () => {
      worker.port.postMessage('gone');
      worker.port.close();
    };
  }
  return followChanges(tell);
}

/** One connection, opened again by the browser as often as it breaks. */
export function followChanges(tell: (told: Heard) => void): () => void {
  const source = new EventSource('/api/changes');
  source.onopen = () => tell('there');
  source.onerror = () => tell('away');
  source.addEventListener('run', ({ data }: MessageEvent<string>) => tell(JSON.parse(data) as Change));
  source.addEventListener('reading', ({ data }: MessageEvent<string>) =>
    tell(JSON.parse(data) as InstrumentReading),
  );
  return () => source.close();
}
