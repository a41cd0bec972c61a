import type { Listen, Reading } from './reading';
import { readLine } from './textLine';

/** As much of a serial port of the browser (Web Serial) as is needed here. */
export interface LinePort {
  readable: ReadableStream<Uint8Array> | null;
  open(options: { baudRate: number }): Promise<void>;
  close(): Promise<void>;
}

const LONGEST_LINE = 200;

/** The lines of a serial port as readings; `gone` when it ends or breaks. */
export function serialLines(port: LinePort, baudRate: number, nowMs: () => number): Listen {
  return (onReading) => {
    let reader: ReadableStreamDefaultReader<Uint8Array> | null = null;
    let isStopped = false;
    const tell = (reading: Reading | null) => {
      if (reading && !isStopped) onReading(reading);
    };
    void (async () => {
      try {
        await port.open({ baudRate });
        reader = port.readable?.getReader() ?? null;
        const decoder = new TextDecoder();
        let rest = '';
        for (let part = await reader?.read(); part && !part.done && !isStopped; part = await reader?.read()) {
          const lines = (rest + decoder.decode(part.value, { stream: true })).split(/[\r\n]+/);
          rest = (lines.pop() ?? '').slice(-LONGEST_LINE);
          for (const line of lines) tell(readLine(line, nowMs()));
        }
      } catch {
        // It was pulled out, or is used by another program: that is told below.
      }
      tell({ kind: 'gone', atMs: nowMs() });
      await port.close().catch(() => undefined);
    })();
    return () => {
      isStopped = true;
      void reader?.cancel().catch(() => undefined);
    };
  };
}
