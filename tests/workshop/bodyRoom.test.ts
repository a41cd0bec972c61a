import assert from 'node:assert/strict';
import test from 'node:test';
import { setImmediate } from 'node:timers/promises';
import { leaveRoom, takeRoom } from '../../src/server/bodyRoom';
import { Problem } from '../../src/server/problem';

const sent = () => new Request('http://127.0.0.1/', { method: 'POST', body: '…' });

test('what is sent waits for room in the order it came, and is told when it waits too long', async (t) => {
  t.mock.timers.enable({ apis: ['setTimeout'] });
  const [first, second, third, last] = [sent(), sent(), sent(), sent()];
  const came: string[] = [];
  await takeRoom(first, 20_000_000);
  await takeRoom(second, 15_000_000);
  const waits = takeRoom(third, 20_000_000).then(() => came.push('third'));
  const small = takeRoom(last, 10_000_000).then(() => came.push('last'));
  leaveRoom(second);
  await waits;
  assert.deepEqual(came, ['third']);
  const late = takeRoom(sent(), 1_000_000);
  t.mock.timers.tick(20_000);
  await assert.rejects(late, (error) => error instanceof Problem && error.code === 'busy');
  await assert.rejects(small);
  // Who gave up takes nothing, and who is answered twice gives back once.
  for (const each of [first, third, first, last]) leaveRoom(each);
  await takeRoom(last, 40_000_000);
  const more = takeRoom(first, 1).then(() => came.push('more'));
  await setImmediate();
  assert.deepEqual(came, ['third']);
  leaveRoom(last);
  await more;
  assert.deepEqual(came, ['third', 'more']);
});
