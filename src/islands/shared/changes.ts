import type { Change } from '../../workers/changesProtocol';

interface Listener {
  /** A run has so many events at the server now. */
  onChange(change: Change): void;
  /** The server answers again, or for the first time: something may have been missed. */
  onThere(): void;
  onAway(): void;
}

/**
 * Listens to what other screens do. All pages of a browser share one connection where it has shared workers; where it
 * has none, as on some tablets, each page has its own.
 *
 * @returns stops it
 */
export function listenToChanges(listener: Listener): () => void {
  const tell = (told: Change | 'there' | 'away') => {
    if (told === 'there') listener.onThere();
    else if (told === 'away') listener.onAway();
    else listener.onChange(told);
  };
  if ('SharedWorker' in window) {
    const worker = new SharedWorker(new URL('../../workers/changes.worker.ts', import.meta.url), {
      type: 'module',
      name: 'tallow-changes',
    });
    worker.port.onmessage = ({ data }: MessageEvent<Change | 'there' | 'away'>) => tell(data);
    return () => {
      worker.port.postMessage('gone');
      worker.port.close();
    };
  }
  return followChanges(tell);
}

/** One connection, opened again by the browser as often as it breaks. */
export function followChanges(tell: (told: Change | 'there' | 'away') => void): () => void {
  const source = new EventSource('/api/changes');
  source.onopen = () => tell('there');
  source.onerror = () => tell('away');
  source.addEventListener('run', ({ data }: MessageEvent<string>) => tell(JSON.parse(data) as Change));
  return () => source.close();
}
