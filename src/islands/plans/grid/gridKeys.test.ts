import assert from 'node:assert/strict';
import test from 'node:test';
import { cellBeside, cellsPasted } from './gridKeys';

const plain = { shiftKey: false, ctrlKey: false, metaKey: false, altKey: false };
const grid = { rows: 3, pours: 4 };
const at = { row: 1, pourIndex: 2 };
const caret = (value: string, from: number, to = from) => ({
  value,
  selectionStart: from,
  selectionEnd: to,
});
const go = (key: string, where = caret('2 %', 3), from = at) =>
  cellBeside({ ...plain, key }, where, from, grid);

test('up and down from anywhere in the text, Enter down and back with Shift', () => {
  assert.deepEqual(go('ArrowUp'), { row: 0, pourIndex: 2 });
  assert.deepEqual(go('ArrowDown', caret('2 %', 1)), { row: 2, pourIndex: 2 });
  assert.deepEqual(go('Enter'), { row: 2, pourIndex: 2 });
  assert.deepEqual(cellBeside({ ...plain, shiftKey: true, key: 'Enter' }, caret('', 0), at, grid), {
    row: 0,
    pourIndex: 2,
  });
});

test('to the sides from the end of the text, or when all of it is marked', () => {
  assert.deepEqual(go('ArrowRight'), { row: 1, pourIndex: 3 });
  assert.deepEqual(go('ArrowLeft', caret('2 %', 0, 3)), { row: 1, pourIndex: 1 });
  assert.equal(go('ArrowRight', caret('2 %', 1)), null);
  assert.equal(go('ArrowLeft', caret('2 %', 1)), null);
});

test('not beyond the grid but to what follows its last row, and not with a key that a field or the page needs', () => {
  assert.equal(go('ArrowUp', caret('', 0), { row: 0, pourIndex: 0 }), null);
  assert.equal(go('ArrowRight', caret('', 0), { row: 0, pourIndex: 3 }), null);
  assert.deepEqual(go('Enter', caret('', 0), { row: 2, pourIndex: 0 }), { row: 3, pourIndex: 0 });
  assert.equal(cellBeside({ ...plain, ctrlKey: true, key: 'ArrowUp' }, caret('', 0), at, grid), null);
  assert.equal(go('a'), null);
});

test('what is pasted is a block with a tab or a second line, and else a text', () => {
  assert.deepEqual(cellsPasted('1 %\t2 %\r\n3 drops\t\r\n'), [
    ['1 %', '2 %'],
    ['3 drops', ''],
  ]);
  assert.equal(cellsPasted('1 %\n'), null);
  assert.equal(cellsPasted('½ tsp/lb'), null);
});
