import { useCallback, useEffect, useRef, useState } from 'react';
import type { BrimSide } from '../../core/molds/stl/mesh';
import type { ModelAnswer, ModelRequest } from '../../workers/modelProtocol';
import { useStable } from '../shared/useStable';

export type ModelState =
  | { kind: 'waiting' }
  | { kind: 'busy'; done: number; of: number }
  | Exclude<ModelAnswer, { kind: 'progress' }>;

const MOST_BYTES = 200_000_000;

/** The worker that reads a model file; stopping it throws away what it was at. */
export function useModelWorker(onShape: (shape: Extract<ModelAnswer, { kind: 'shape' }>['shape']) => void) {
  const takeShape = useStable(onShape);
  const worker = useRef<Worker | null>(null);
  const [state, setState] = useState<ModelState>({ kind: 'waiting' });
  const [found, setFound] = useState<Extract<ModelAnswer, { kind: 'read' }> | null>(null);

  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    setState({ kind: 'waiting' });
    setFound(null);
  }, []);
  useEffect(() => () => worker.current?.terminate(), []);

  async function read(file: File) {
    stop();
    if (file.size > MOST_BYTES) {
      setState({
        kind: 'fault',
        reason: `The file is over ${MOST_BYTES / 1e6} MB. Export it more coarsely.`,
      });
      return;
    }
    setState({ kind: 'busy', done: 0, of: 0 });
    const started = new Worker(new URL('../../workers/model.worker.ts', import.meta.url), { type: 'module' });
    worker.current = started;
    started.onmessage = ({ data }: MessageEvent<ModelAnswer>) => {
      if (data.kind === 'read') setFound(data);
      if (data.kind === 'shape') takeShape(data.shape);
      setState(data.kind === 'progress' ? { kind: 'busy', done: data.done, of: data.of } : data);
    };
    started.onerror = () =>
      setState({ kind: 'fault', reason: 'The file can’t be read. Export the model once more as STL.' });
    const bytes = new Uint8Array(await file.arrayBuffer());
    if (worker.current === started)
      started.postMessage({ kind: 'read', bytes } satisfies ModelRequest, [bytes.buffer]);
  }

  function shape(unitMm: number, brim: BrimSide) {
    setState({ kind: 'busy', done: 0, of: 0 });
    worker.current?.postMessage({ kind: 'shape', unitMm, brim } satisfies ModelRequest);
  }

  return { state, found, read, shape, stop };
}
