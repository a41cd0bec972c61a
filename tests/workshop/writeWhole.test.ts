import assert from 'node:assert/strict';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import test from 'node:test';
import { writeWhole } from '../../src/db/writeWhole';
import { temporaryFolder } from '../support/server';

test('a file has its name only once it is whole; what fails leaves what was there, and nothing begun', async (t) => {
  const { path, remove } = temporaryFolder();
  t.after(remove);
  const to = join(path, 'copy');
  writeFileSync(`${to}.part`, 'begun by a process that was killed, and longer');
  await writeWhole(to, (part) => writeFile(part, 'first'));
  assert.deepEqual([readdirSync(path), readFileSync(to, 'utf8')], [['copy'], 'first']);
  const failing = writeWhole(to, async (part) => {
    await writeFile(part, 'half');
    throw new Error('no room');
  });
  await assert.rejects(failing, /no room/);
  assert.deepEqual([readdirSync(path), readFileSync(to, 'utf8')], [['copy'], 'first']);
  // What writes nothing has written no file.
  await assert.rejects(
    writeWhole(join(path, 'none'), async () => {}),
    { code: 'ENOENT' },
  );
});
