import assert from 'node:assert/strict';
import test from 'node:test';
import type { ApiAnswer } from './api';
import { type SaveState, saveQueue } from './saveQueue';

/** A server that answers when it is told to, and knows one record. */
function slowServer(revision: number) {
  const held: (() => void)[] = [];
  const stored: string[] = [];
  const server = {
    revision,
    stored,
    /** Lets the oldest request through; undefined answers are refused with this problem. */
    async answer() {
      held.shift()?.();
      await new Promise(setImmediate);
    },
    isDown: false,
    waiting: () => held.length,
    send: (item: string, from: number) =>
      new Promise<ApiAnswer<{ revision: number }>>((resolve) => {
        held.push(() => {
          const refuse = (status: number, code: string) =>
            resolve({ success: false, error: { status, code, detail: code } });
          if (server.isDown) return refuse(0, 'unreachable');
          if (from !== server.revision) return refuse(409, 'changed-elsewhere');
          server.stored.push(item);
          server.revision++;
          resolve({ success: true, data: { revision: server.revision } });
        });
      }),
  };
  return server;
}

function queueTo(server: ReturnType<typeof slowServer>) {
  const states: SaveState['kind'][] = [];
  const queue = saveQueue({ item: 'first', revision: server.revision }, server.send, {
    onState: ({ kind }) => states.push(kind),
  });
  return { queue, states };
}

test('one save at a time; what is wanted meanwhile follows, and what lies between is not sent', async () => {
  const server = slowServer(3);
  const { queue, states } = queueTo(server);
  queue.want('second');
  const done = queue.flush();
  queue.want('third');
  queue.want('fourth');
  assert.equal(queue.flush(), done);
  assert.equal(server.waiting(), 1);
  await server.answer();
  await server.answer();
  assert.equal(await done, true);
  assert.deepEqual([server.stored, server.revision, queue.revision()], [['second', 'fourth'], 5, 5]);
  assert.deepEqual(states, ['unsaved', 'saving', 'saved']);
});

test('undone back to what is stored is saved without a request', async () => {
  const server = slowServer(1);
  const { queue, states } = queueTo(server);
  queue.want('second');
  queue.want('first');
  assert.equal(await queue.flush(), true);
  assert.deepEqual([server.stored, states], [[], ['unsaved', 'saved']]);
});

test('a conflict stops the queue until one side is chosen', async () => {
  const server = slowServer(1);
  const { queue } = queueTo(server);
  server.revision = 4;
  queue.want('mine');
  const done = queue.flush();
  await server.answer();
  assert.equal(await done, false);
  assert.equal(queue.state().kind, 'conflict');
  queue.want('mine, typed on');
  assert.equal(await queue.flush(), false);
  assert.deepEqual([server.waiting(), queue.state().kind], [0, 'conflict']);
  const kept = queue.keepMine(4);
  await server.answer();
  assert.equal(await kept, true);
  assert.deepEqual(server.stored, ['mine, typed on']);

  server.revision = 9;
  queue.want('mine again');
  const again = queue.flush();
  await server.answer();
  await again;
  queue.takeTheirs('theirs', 9);
  assert.deepEqual([queue.wanted(), queue.revision(), queue.state().kind], ['theirs', 9, 'saved']);
  assert.equal(await queue.flush(), true);
});

test('a server that is down fails the save, and the next flush sends what is wanted by then', async () => {
  const server = slowServer(1);
  const { queue } = queueTo(server);
  server.isDown = true;
  queue.want('second');
  const done = queue.flush();
  await server.answer();
  assert.equal(await done, false);
  assert.equal(queue.state().kind, 'failed');
  server.isDown = false;
  queue.want('third');
  assert.equal(queue.state().kind, 'unsaved');
  const again = queue.flush();
  await server.answer();
  assert.equal(await again, true);
  assert.deepEqual(server.stored, ['third']);
});
