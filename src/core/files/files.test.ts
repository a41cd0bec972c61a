import assert from 'node:assert/strict';
import test from 'node:test';
import { jpegWithPlace } from '../../../tests/support/jpegs';
import { fileKind } from './fileKind';
import { withoutPlace } from './withoutPlace';

const says = (bytes: Uint8Array) => new TextDecoder('latin1').decode(bytes);

test('a photograph loses where it was taken and by whom, and keeps all that is seen', () => {
  const clean = withoutPlace(jpegWithPlace());
  assert.doesNotMatch(says(clean), /GPS|Exif|Photoshop|somebody/);
  assert.match(says(clean), /JFIF[\s\S]*picture/);
  assert.deepEqual([...clean.subarray(0, 2), ...clean.subarray(-2)], [0xff, 0xd8, 0xff, 0xd9]);
  assert.deepEqual(withoutPlace(clean), clean);
  for (const bad of [new Uint8Array(), new Uint8Array([0xff, 0xd8]), jpegWithPlace().subarray(0, 12)])
    assert.throws(() => withoutPlace(bad), RangeError);
});

test('a file is what it begins with, whatever it is called', () => {
  assert.equal(fileKind(jpegWithPlace()), 'jpeg');
  assert.equal(fileKind(new TextEncoder().encode('%PDF-1.7')), 'pdf');
  assert.equal(fileKind(new TextEncoder().encode('<svg onload="x">')), null);
  assert.equal(fileKind(new Uint8Array()), null);
});
