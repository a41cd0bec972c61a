import { Camera } from 'lucide-react';
import { useRef, useState } from 'react';
import type { Photo } from '../../core/files/photo';
import type { Run, RunEvent } from '../../core/run/run';
import { showMoment } from '../../words/en/showTime';
import { useShowing } from '../shared/showing';
import { addPhotos } from './addPhotos';
import { usePhotoMaker } from './usePhotoMaker';

interface Props {
  run: Run;
  photos: readonly Photo[];
  /** From 0; null for the whole run. */
  round: number | null;
  sending: boolean;
  onRecord(event: RunEvent): Promise<boolean>;
  onTakeBack(photoId: string): void;
}

/** Photographs of what came out of the molds, and more of them. */
export function Photos({ run, photos, round, sending, onRecord, onTakeBack }: Props) {
  const { locale } = useShowing();
  const input = useRef<HTMLInputElement>(null);
  const make = usePhotoMaker();
  const [busy, setBusy] = useState<{ done: number; of: number } | null>(null);
  const [note, setNote] = useState('');
  const [faults, setFaults] = useState<string[]>([]);

  async function add(files: File[]) {
    if (files.length === 0 || busy) return;
    setFaults([]);
    setBusy({ done: 0, of: files.length });
    const onProgress = (done: number, of: number) => setBusy({ done, of });
    setFaults(await addPhotos(files, { round, note: note.trim(), make, record: onRecord, onProgress }));
    setBusy(null);
    setNote('');
  }

  return (
    <section className="plate p-4" aria-labelledby="photos">
      <header className="flex flex-wrap items-center gap-3">
        <h2 id="photos" className="flex-1 font-semibold">
          Photographs
        </h2>
        <input
          ref={input}
          type="file"
          accept="image/*"
          multiple
          className="sr-only"
          aria-label="Photographs to add"
          tabIndex={-1}
          onChange={({ target }) => {
            const files = [...(target.files ?? [])];
            target.value = '';
            void add(files);
          }}
        />
        <button
          type="button"
          className="btn btn-secondary min-h-11"
          disabled={busy !== null}
          onClick={() => input.current?.click()}
        >
          <Camera size={20} aria-hidden="true" />
          {busy ? `Taking in ${busy.done + 1} of ${busy.of} …` : 'Add photographs'}
        </button>
      </header>
      <label className="mt-2 block text-sm">
        A word with the next ones
        <input
          className="input min-h-11 w-full"
          maxLength={500}
          value={note}
          onChange={({ target }) => setNote(target.value)}
        />
      </label>
      {faults.length > 0 && (
        <ul role="alert" className="text-error mt-2">
          {faults.map((each) => (
            <li key={each}>{each}.</li>
          ))}
        </ul>
      )}
      {photos.length === 0 ? (
        <p className="quiet mt-2">
          None yet. They are made small here, and lose what the camera wrote into them of place and time.
        </p>
      ) : (
        <ul className="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-3">
          {photos.map((photo) => (
            <li key={photo.photoId} className="flex flex-col gap-1">
              <a href={`/api/files/${photo.hash}`} target="_blank" rel="noreferrer">
                <img
                  src={`/api/files/${photo.hash}`}
                  alt={`${run.snapshot.sheet.planName}${photo.round === null ? '' : `, round ${photo.round + 1}`}, ${showMoment(photo.at, locale)}`}
                  width={photo.widthPx}
                  height={photo.heightPx}
                  loading="lazy"
                  className="bg-base-200 aspect-4/3 w-full rounded-lg object-cover"
                />
              </a>
              {photo.note && <p>{photo.note}</p>}
              <div className="flex items-center gap-2">
                <span className="quiet flex-1 text-sm">{showMoment(photo.at, locale)}</span>
                <button
                  type="button"
                  className="btn btn-ghost min-h-11 px-2"
                  disabled={sending}
                  onClick={() => onTakeBack(photo.photoId)}
                >
                  Take it back
                </button>
              </div>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
