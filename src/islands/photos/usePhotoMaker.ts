import { useEffect, useRef } from 'react';
import type { PhotoAnswer, PhotoRequest } from '../../workers/photoProtocol';

/** Makes photographs small in a worker, one after the other; it is begun with the first. */
export function usePhotoMaker(): (file: File) => Promise<PhotoAnswer> {
  const worker = useRef<Worker | null>(null);
  useEffect(() => () => worker.current?.terminate(), []);
  return (file) =>
    new Promise((resolve) => {
      worker.current ??= new Worker(new URL('../../workers/photo.worker.ts', import.meta.url), {
        type: 'module',
      });
      const own = worker.current;
      own.onmessage = ({ data }: MessageEvent<PhotoAnswer>) => resolve(data);
      own.onerror = () => resolve({ kind: 'fault', code: 'no-picture' });
      own.postMessage({ file } satisfies PhotoRequest);
    });
}
