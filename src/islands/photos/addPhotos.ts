import { MOST_AT_ONCE, MOST_CHOSEN_BYTES } from '../../core/files/photo';
import type { RunEvent } from '../../core/run/run';
import type { PhotoAnswer } from '../../workers/photoProtocol';
import { callApi } from '../shared/api';
import { newId } from '../shared/newId';

const FAULTS: Record<Extract<PhotoAnswer, { kind: 'fault' }>['code'], string> = {
  'no-picture': 'it is no picture that this browser can open. Take a JPEG or a PNG',
  'too-large': `it is over ${MOST_CHOSEN_BYTES / 1e6} MB. Take a smaller one`,
};

interface About {
  round: number | null;
  /** A word with all of them. */
  note: string;
  make(file: File): Promise<PhotoAnswer>;
  /** @returns whether it is written down */
  record(event: RunEvent): Promise<boolean>;
  onProgress(done: number, of: number): void;
}

/**
 * Makes each photograph small, keeps it, and writes it down with its run.
 *
 * @returns what could not be taken, each with its reason
 */
export async function addPhotos(
  files: readonly File[],
  { round, note, make, record, onProgress }: About,
): Promise<string[]> {
  const faults: string[] = [];
  const taken = files.slice(0, MOST_AT_ONCE);
  if (files.length > MOST_AT_ONCE)
    faults.push(`${files.length - MOST_AT_ONCE} left out: no more than ${MOST_AT_ONCE} are taken at once`);
  for (const [place, file] of taken.entries()) {
    onProgress(place, taken.length);
    const made = await make(file);
    if (made.kind === 'fault') {
      faults.push(`“${file.name}”: ${FAULTS[made.code]}`);
      continue;
    }
    const { bytes, widthPx, heightPx } = made;
    const kept = await callApi<{ hash: string }>('POST', '/api/files', bytes);
    if (!kept.success) {
      faults.push(`“${file.name}”: ${kept.error.detail}`);
      continue;
    }
    const { hash } = kept.data;
    await record({ kind: 'photographed', photoId: newId(), round, hash, widthPx, heightPx, note });
  }
  return faults;
}
