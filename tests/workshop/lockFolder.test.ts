import assert from 'node:assert/strict';
import test from 'node:test';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { FolderInUseError, lockFolder } from '../../src/db/dataFolder.mjs';
import { temporaryFolder } from '../support/server';

setFlagsFromString('--expose-gc');
const collectGarbage = runInNewContext('gc') as () => void;

test('a folder stays locked for as long as its process lives, also where nobody keeps the way to let go', (t) => {
  const folder = temporaryFolder();
  t.after(folder.remove);
  lockFolder(folder.path);
  for (let round = 0; round < 3; round++) collectGarbage();
  assert.throws(() => lockFolder(folder.path), FolderInUseError);
});

test('a folder that was let go can be locked again', (t) => {
  const folder = temporaryFolder();
  t.after(folder.remove);
  lockFolder(folder.path)();
  lockFolder(folder.path)();
});
