import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { explainQuantityFault, parseQuantity } from './parseQuantity';
import { UNITS } from './units';
import { writeQuantity } from './writeQuantity';

const read = (text: string) => {
  const parsed = parseQuantity(text);
  return parsed.success ? parsed.data : parsed.error.code;
};

test('reads amounts the way they are typed', () => {
  assert.deepEqual(read('2 %'), { kind: 'ofBase', fractionOfBase: 0.02 });
  assert.deepEqual(read('2,5%'), { kind: 'ofBase', fractionOfBase: 0.025 });
  assert.deepEqual(read(' 6 g '), { kind: 'mass', massG: 6 });
  assert.deepEqual(read('0.27 oz'), { kind: 'mass', massG: 0.27 * 28.349523125 });
  assert.deepEqual(read('20mL'), { kind: 'volume', volumeMl: 20 });
  assert.deepEqual(read('12 drops'), { kind: 'drops', drops: 12 });
  assert.deepEqual(read('½ g'), { kind: 'mass', massG: 0.5 });
  assert.deepEqual(read('1 1/2 g'), { kind: 'mass', massG: 1.5 });
  assert.deepEqual(read('1½ g'), { kind: 'mass', massG: 1.5 });
  assert.deepEqual(read('.5 Grams'), { kind: 'mass', massG: 0.5 });
  assert.deepEqual(read('1 fl. oz.'), { kind: 'volume', volumeMl: 29.5735295625 });
});

test('refuses what a scale could not follow, and says which part', () => {
  const faults: [string, string][] = [
    ['', 'empty'],
    ['   ', 'empty'],
    ['2,5', 'no-unit'],
    ['½', 'no-unit'],
    ['-1 g', 'negative'],
    ['−1 g', 'negative'],
    ['1e400', 'unknown-unit'],
    ['NaN', 'no-number'],
    ['Infinity g', 'no-number'],
    ['2-3 %', 'range'],
    ['2 to 3 drops', 'range'],
    ['2–3 g', 'range'],
    ['1,250 g', 'ambiguous-number'],
    ['1.2.3 g', 'ambiguous-number'],
    ['1/0 g', 'divided-by-zero'],
    ['3 spoonfuls', 'unknown-unit'],
    ['<b>2 %</b>', 'no-number'],
    ['101 %', 'over-the-base'],
    ['99999999999 kg', 'too-large'],
    [`${'9'.repeat(50)} g`, 'too-large'],
    ['9'.repeat(10_000), 'too-long'],
  ];
  for (const [text, code] of faults) assert.equal(read(text), code, text);
});

test('a field that wants a weight refuses a percentage', () => {
  const parsed = parseQuantity('2 %', ['mass']);
  assert.equal(parsed.success || parsed.error.code, 'unit-not-for-this');
});

test('no text makes it throw, and every fault can be explained', () => {
  const piece = fc.oneof(
    fc.string({ unit: 'binary' }),
    fc.constantFrom('½', '1/2', '1 1/2', ',', '%', ' oz', '-', 'to', '1e9', '\u0000'),
  );
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 6 }), (pieces) => {
      const parsed = parseQuantity(pieces.join(''));
      if (!parsed.success) assert.ok(explainQuantityFault(parsed.error).length > 10);
    }),
    { numRuns: 2000 },
  );
});

test('what is written reads back, for every kind', () => {
  const written = fc.integer({ min: 0, max: 99_999_999 }).map((millionths) => millionths / 1e6);
  const quantity = fc.oneof(
    written.map((massG) => ({ kind: 'mass' as const, massG })),
    written.map((volumeMl) => ({ kind: 'volume' as const, volumeMl })),
    written.map((drops) => ({ kind: 'drops' as const, drops })),
    written.map((percent) => ({ kind: 'ofBase' as const, fractionOfBase: percent / 100 })),
  );
  fc.assert(
    fc.property(quantity, (value) => {
      const parsed = parseQuantity(writeQuantity(value));
      assert.ok(parsed.success);
      assert.equal(writeQuantity(parsed.data), writeQuantity(value));
      assert.equal(parsed.data.kind, value.kind);
    }),
  );
});

test('every name of every unit is read, in any case', () => {
  for (const unit of UNITS) {
    for (const name of unit.names) {
      assert.ok(parseQuantity(`1 ${name.toUpperCase()}`).success, name);
    }
  }
});
