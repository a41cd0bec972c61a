import assert from 'node:assert/strict';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import test from 'node:test';
import { pathToFileURL } from 'node:url';
import { threadsOf } from '../../src/server/compute/threads';
import { temporaryFolder } from '../support/server';

test('a thread that ends between two tasks is told in the log, and the next task has a new one', async (t) => {
  const { path, remove } = temporaryFolder();
  const file = join(path, 'work.mjs');
  writeFileSync(file, 'export default (what) => what;');
  const told = t.mock.method(console, 'error', () => {});
  const pool = threadsOf<string, string>(pathToFileURL(file), 1);
  t.after(async () => {
    await pool.destroy();
    remove();
  });
  assert.equal(await pool.run('first'), 'first');
  pool.emit('error', new Error('after its answer'));
  assert.equal(await pool.run('next'), 'next');
  assert.match(String(told.mock.calls[0]?.arguments[0]), /between two tasks: .*after its answer/);
});
