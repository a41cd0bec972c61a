import { useCallback, useEffect, useRef, useState } from 'react';
import { CSV_LIMITS } from '../../formats/csv';
import type { CsvContent, CsvMapping, CsvRow, ShelfNow } from '../../formats/shelfCsv';
import type { CsvAnswer, CsvRequest } from '../../workers/csvProtocol';

export type CsvState =
  | { kind: 'waiting' }
  | { kind: 'busy'; done: number; of: number }
  | { kind: 'fault'; reason: string }
  | { kind: 'read'; header: string[]; sample: string[][]; rowCount: number; mapping: CsvMapping }
  | { kind: 'judged'; rows: CsvRow[] };

/** The worker that reads a CSV file; stopping it throws away what it was at. */
export function useCsvWorker() {
  const worker = useRef<Worker | null>(null);
  const [state, setState] = useState<CsvState>({ kind: 'waiting' });

  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    setState({ kind: 'waiting' });
  }, []);
  useEffect(() => () => worker.current?.terminate(), []);

  async function read(file: File, of: CsvContent) {
    stop();
    if (file.size > CSV_LIMITS.bytes) {
      const reason = `The file is over ${CSV_LIMITS.bytes / 1e6} MB. Split it and bring the parts in one after the other.`;
      setState({ kind: 'fault', reason });
      return;
    }
    setState({ kind: 'busy', done: 0, of: 0 });
    const started = new Worker(new URL('../../workers/csv.worker.ts', import.meta.url), { type: 'module' });
    worker.current = started;
    started.onmessage = ({ data }: MessageEvent<CsvAnswer>) =>
      setState(data.kind === 'progress' ? { kind: 'busy', done: data.done, of: data.of } : data);
    started.onerror = () =>
      setState({ kind: 'fault', reason: 'The file can’t be read. Save the table as CSV in UTF-8.' });
    const bytes = new Uint8Array(await file.arrayBuffer());
    send(started, { kind: 'read', bytes, of });
  }

  function judge(of: CsvContent, mapping: CsvMapping, shelf: ShelfNow) {
    if (!worker.current) return;
    setState({ kind: 'busy', done: 0, of: 0 });
    send(worker.current, { kind: 'judge', of, mapping, shelf });
  }

  return { state, read, judge, stop };
}

function send(worker: Worker, request: CsvRequest) {
  worker.postMessage(request);
}
