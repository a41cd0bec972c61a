import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { binaryStl, boxSoup, textStl } from '../../tests/support/stlFiles';
import { readStl, type StlFault } from './stl';

const box = boxSoup(40, 30, 20);
const code = (bytes: Uint8Array): StlFault['code'] | 'read' => {
  const read = readStl(bytes);
  return read.success ? 'read' : read.error.code;
};

test('text and binary files hold the same triangles, whatever the header says', () => {
  const flat = box.flat();
  for (const bytes of [textStl(box), binaryStl(box), binaryStl(box, 'solid but binary')]) {
    const read = readStl(bytes);
    assert.ok(read.success);
    assert.deepEqual([...read.data], flat);
  }
  // Bytes behind the last triangle, as some programs leave them.
  assert.equal(code(new Uint8Array([...binaryStl(box), 0, 0, 0])), 'read');
});

test('what is no model file is refused with its reason', () => {
  const text = (content: string) => new TextEncoder().encode(content);
  assert.equal(code(new Uint8Array()), 'empty');
  assert.equal(code(text('<svg/>')), 'not-stl');
  assert.equal(code(text('solid nothing\nendsolid')), 'not-stl');
  assert.equal(code(text(`not a model ${'x'.repeat(500)}`)), 'not-stl');
  assert.equal(code(binaryStl(box).slice(0, 300)), 'cut-short');
  const torn = new TextDecoder().decode(textStl(box)).split('\n').slice(0, 19).join('\n');
  assert.equal(code(text(torn)), 'cut-short');
  const odd = readStl(text('solid x\nfacet\nouter loop\nvertex 1 2 banana\n'));
  assert.ok(!odd.success && odd.error.code === 'bad-number');
  assert.deepEqual(odd.error, { code: 'bad-number', line: 4, text: 'banana' });
  const large = binaryStl(box);
  new DataView(large.buffer).setUint32(80, 4_000_000_000, true);
  assert.equal(code(large), 'not-stl');
});

test('no bytes make it throw', () => {
  fc.assert(fc.property(fc.uint8Array({ maxLength: 400 }), (bytes) => void readStl(bytes)));
});
