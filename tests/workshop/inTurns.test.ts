import assert from 'node:assert/strict';
import { EventEmitter, once } from 'node:events';
import { type AddressInfo, connect, createServer } from 'node:net';
import test from 'node:test';
import { inTurns } from '../../src/server/inTurns';

const HELD_MS = 20;

test('what was sent while a part was drawn is looked at before the next part', async (t) => {
  const seen: string[] = [];
  const server = createServer((socket) => {
    socket.setEncoding('utf8').on('data', (word: string) => {
      seen.push(word);
      if (word === 'page') void draw();
    });
  }).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  const [page, ...others] = [0, 1, 2].map(() => connect(port, '127.0.0.1'));
  const drawn = new EventEmitter();
  async function draw(): Promise<void> {
    const turn = inTurns();
    for (const [part, other] of others.entries()) {
      other.write(`tick ${part}`);
      const began = performance.now();
      while (performance.now() - began < HELD_MS);
      seen.push(`part ${part}`);
      await turn();
    }
    drawn.emit('whole');
  }
  t.after(() => {
    for (const client of [page, ...others]) client?.destroy();
    server.close();
  });
  await Promise.all([page, ...others].map((client) => client && once(client, 'connect')));
  page?.write('page');
  await once(drawn, 'whole');
  assert.deepEqual(seen, ['page', 'part 0', 'tick 0', 'part 1', 'tick 1']);
});
