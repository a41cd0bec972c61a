import type { Reading } from '../../instruments/reading';
import { listenToChanges } from '../shared/changes';

/** Called with each reading and the instrument that it is of. */
export type OnReading = (reading: Reading, instrument: string) => void;

/**
 * What instruments send to the server, by the bench's clock: that of the sender may be another.
 *
 * @returns stops it
 */
export function listenToPushed(onReading: OnReading): () => void {
  return listenToChanges({
    onChange() {},
    onThere() {},
    onAway() {},
    onReading: ({ reading, instrument }) => onReading({ ...reading, atMs: Date.now() }, instrument),
  });
}

/**
 * What a stand-in shows.
 *
 * @param started its worker
 * @param held where the worker is, as long as it is listened to
 * @param begin what is asked of it first
 * @returns ends it
 */
export function listenToStandIn(
  started: Worker,
  held: { current: Worker | null },
  begin: object,
  name: string,
  onReading: OnReading,
): () => void {
  started.onmessage = ({ data }: MessageEvent<Reading>) => onReading(data, name);
  started.postMessage(begin);
  held.current = started;
  return () => {
    held.current = null;
    started.terminate();
  };
}
