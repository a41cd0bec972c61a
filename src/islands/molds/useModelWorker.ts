import { useCallback, useEffect, useRef, useState } from 'react';
import type { BrimSide } from '../../core/molds/stl/mesh';
import type { ModelAnswer, ModelRequest } from '../../workers/modelProtocol';
import { useStable } from '../shared/useStable';

export type ModelState =
  | { is: 'waiting' }
  | { is: 'busy'; done: number; of: number }
  | Exclude<ModelAnswer, { is: 'progress' }>;

const MOST_BYTES = 200_000_000;

/** The worker that reads a model file; stopping it throws away what it was at. */
export function useModelWorker(onShape: (shape: Extract<ModelAnswer, { is: 'shape' }>['shape']) => void) {
  const takeShape = useStable(onShape);
  const worker = useRef<Worker | null>(null);
  const [state, setState] = useState<ModelState>({ is: 'waiting' });
  const [found, setFound] = useState<Extract<ModelAnswer, { is: 'read' }> | null>(null);

  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    setState({ is: 'waiting' });
    setFound(null);
  }, []);
  useEffect(() => () => worker.current?.terminate(), []);

  async function read(file: File) {
    stop();
    if (file.size > MOST_BYTES) {
      setState({ is: 'fault', reason: `The file is over ${MOST_BYTES / 1e6} MB. Export it more coarsely.` });
      return;
    }
    setState({ is: 'busy', done: 0, of: 0 });
    const started = new Worker(new URL('../../workers/model.worker.ts', import.meta.url), { type: 'module' });
    worker.current = started;
    started.onmessage = ({ data }: MessageEvent<ModelAnswer>) => {
      if (data.is === 'read') setFound(data);
      if (data.is === 'shape') takeShape(data.shape);
      setState(data.is === 'progress' ? { is: 'busy', done: data.done, of: data.of } : data);
    };
    started.onerror = () =>
      setState({ is: 'fault', reason: 'The file can’t be read. Export the model once more as STL.' });
    const bytes = new Uint8Array(await file.arrayBuffer());
    if (worker.current === started)
      started.postMessage({ ask: 'read', bytes } satisfies ModelRequest, [bytes.buffer]);
  }

  function shape(unitMm: number, brim: BrimSide) {
    setState({ is: 'busy', done: 0, of: 0 });
    worker.current?.postMessage({ ask: 'shape', unitMm, brim } satisfies ModelRequest);
  }

  return { state, found, read, shape, stop };
}
