import assert from 'node:assert/strict';
import test from 'node:test';
import type { Reading } from './reading';
import { type LinePort, serialLines } from './serialLines';

/** A port that sends these parts, and then ends or breaks. */
function portOf(parts: readonly string[], breaks = false) {
  const told = { opened: 0, closed: 0 };
  const port: LinePort = {
    readable: new ReadableStream<Uint8Array>({
      start(stream) {
        for (const part of parts) stream.enqueue(new TextEncoder().encode(part));
        if (breaks) stream.error(new Error('pulled out'));
        else stream.close();
      },
    }),
    open: async ({ baudRate }) => {
      told.opened = baudRate;
    },
    close: async () => {
      told.closed++;
    },
  };
  return { port, told };
}

const heard = (port: LinePort, until: number) =>
  new Promise<Reading[]>((resolve) => {
    const all: Reading[] = [];
    serialLines(
      port,
      9600,
      () => 5,
    )((reading) => {
      all.push(reading);
      if (reading.kind === 'gone' || all.length === until) resolve(all);
    });
  });

test('lines that come in pieces are read whole; its end is told, and the port is closed', async () => {
  const { port, told } = portOf(['ST +1', '2.4 g\r\n12.', '6 g\r\nnoise\r\n54.2 °', 'C\n12.7']);
  assert.deepEqual(await heard(port, 99), [
    { kind: 'mass', massG: 12.4, isStable: true, atMs: 5 },
    { kind: 'mass', massG: 12.6, isStable: null, atMs: 5 },
    { kind: 'temperature', tempC: 54.2, isStable: null, atMs: 5 },
    { kind: 'gone', atMs: 5 },
  ]);
  await new Promise((resolve) => setImmediate(resolve));
  assert.deepEqual(told, { opened: 9600, closed: 1 });
});

test('a port that breaks, or can’t be opened, is told as gone', async () => {
  assert.deepEqual(await heard(portOf([], true).port, 99), [{ kind: 'gone', atMs: 5 }]);
  const shut = { ...portOf([]).port, open: () => Promise.reject(new Error('in use')) };
  assert.deepEqual(await heard(shut, 99), [{ kind: 'gone', atMs: 5 }]);
});
