import assert from 'node:assert/strict';
import test from 'node:test';
import { differences } from './differences';

test('names every leaf that differs, in either direction', () => {
  const mine = { name: 'A', pours: [{ doses: [{ text: '2 %' }] }], note: '' };
  const theirs = { name: 'A', pours: [{ doses: [{ text: '3 %' }, { text: '1 g' }] }], note: 'dry' };
  assert.deepEqual(differences(mine, theirs), [
    { path: ['pours', 0, 'doses', 0, 'text'], mine: '2 %', theirs: '3 %' },
    { path: ['pours', 0, 'doses', 1], mine: undefined, theirs: { text: '1 g' } },
    { path: ['note'], mine: '', theirs: 'dry' },
  ]);
  assert.deepEqual(differences(mine, structuredClone(mine)), []);
});
