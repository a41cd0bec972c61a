import assert from 'node:assert/strict';
import { EventEmitter, once } from 'node:events';
import { type AddressInfo, connect, createServer } from 'node:net';
import test from 'node:test';
import { turn, turnWhenLong } from '../../src/server/turn';

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
    for (const [part, other] of others.entries()) {
      other.write(`tick ${part}`);
      hold(HELD_MS);
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

function hold(ms: number): void {
  const until = performance.now() + ms;
  while (performance.now() < until);
}

test('others are answered between two parts where those before took long, and not where they did not', async () => {
  let answered = 0;
  await turn();
  setImmediate(() => answered++);
  for (let part = 0; part < 5; part++) await turnWhenLong();
  assert.equal(answered, 0);
  hold(HELD_MS);
  await turnWhenLong();
  assert.equal(answered, 1);
});

test('whoever waits for a turn, others are answered between any two parts', async () => {
  const seen: string[] = [];
  const page = async (name: string) => {
    for (const part of [1, 2]) {
      await turn();
      seen.push(`${name}${part}`);
      setImmediate(() => seen.push('other'));
    }
  };
  await Promise.all(['a', 'b', 'c'].map(page));
  await turn();
  assert.deepEqual(
    seen,
    ['a1', 'b1', 'c1', 'a2', 'b2', 'c2'].flatMap((part) => [part, 'other']),
  );
});
