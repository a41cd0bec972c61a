import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { explainQuantityFault } from '../../words/en/units/quantityFault';
import { parseQuantity } from './parseQuantity';
import { UNITS } from './units';
import { writeFigure, writeQuantity } from './writeQuantity';

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
    ['3–2 g', 'range'],
    ['1,250 g', 'ambiguous-number'],
    ['1.2.3 g', 'ambiguous-number'],
    ['1/0 g', 'divided-by-zero'],
    ['3 spoonfuls', 'vague'],
    ['<b>2 %</b>', 'no-number'],
    ['101 %', 'over-the-base'],
    ['99999999999 kg', 'too-large'],
    [`${'9'.repeat(50)} g`, 'too-large'],
    ['9'.repeat(10_000), 'too-long'],
  ];
  for (const [text, code] of faults) assert.equal(read(text), code, text);
});

test('a field that wants a weight refuses a percentage and a range', () => {
  for (const [text, code] of [
    ['2 %', 'unit-not-for-this'],
    ['2–3 g', 'range'],
    ['to taste', 'unit-not-for-this'],
  ] as const) {
    const parsed = parseQuantity(text, ['mass']);
    assert.equal(parsed.success || parsed.error.code, code);
  }
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

test('reads rates: per weight of base, and per piece', () => {
  const lb = 453.59237;
  const cases: [string, string, number][] = [
    ['8 g/100 g', 'ofBase', 0.08],
    ['1 oz per 2 lb', 'ofBase', 1 / 32],
    ['½ tsp/lb', 'volumePerBase', 4.92892159375 / 2 / lb],
    ['20 mL per kg', 'volumePerBase', 0.02],
    ['1 tbsp/10.5 oz', 'volumePerBase', 14.78676478125 / ((10.5 * lb) / 16)],
    ['40 drops/lb', 'dropsPerBase', 40 / lb],
    ['¼ block/2 oz', 'blocksPerBase', 0.25 / (lb / 8)],
  ];
  for (const [text, kind, figure] of cases) {
    const parsed = parseQuantity(text);
    assert.ok(parsed.success, text);
    assert.equal(parsed.data.kind, kind, text);
    const read = Object.values(parsed.data).find((value) => typeof value === 'number') ?? Number.NaN;
    assert.ok(Math.abs(read / figure - 1) < 1e-12, text);
  }
  assert.deepEqual(read('6 drops/piece'), { kind: 'perPiece', amount: { kind: 'drops', drops: 6 } });
  assert.deepEqual(read('2 g per bar'), { kind: 'perPiece', amount: { kind: 'mass', massG: 2 } });
});

test('reads amounts and rates as they are spoken', () => {
  const same: [string, string][] = [
    ['¼ of the block', '¼ block'],
    ['½ a block', '½ block'],
    ['½ tsp a pound', '½ tsp/lb'],
    ['6 drops a piece', '6 drops/piece'],
    ['23 drops of each', '23 drops'],
    ['1 oz an lb', '1 oz/lb'],
  ];
  for (const [spoken, written] of same) assert.deepEqual(read(spoken), read(written), spoken);
  assert.equal(read('½ a'), 'unknown-unit');
  assert.equal(read('6 drops a'), 'rest-unread');
});

test('reads relations to another dose', () => {
  assert.deepEqual(read('= fragrance'), { kind: 'times', factor: 1, of: 'fragrance' });
  assert.deepEqual(read('=the fragrance'), { kind: 'times', factor: 1, of: 'fragrance' });
  assert.deepEqual(read('2x honey'), { kind: 'times', factor: 2, of: 'honey' });
  assert.deepEqual(read('½ × Bay & Rope'), { kind: 'times', factor: 0.5, of: 'Bay & Rope' });
  assert.deepEqual(read('1.5 times honey'), { kind: 'times', factor: 1.5, of: 'honey' });
});

test('says which part of a rate or a relation it did not understand', () => {
  const faults: [string, string][] = [
    ['6 drops/', 'unknown-per'],
    ['6 drops/cup', 'per-volume'],
    ['6 drops/0 g', 'unknown-per'],
    ['6 drops/lb/kg', 'unknown-per'],
    ['2 %/lb', 'percent-per'],
    ['200 g/100 g', 'over-the-base'],
    ['=', 'no-name'],
    ['2x', 'no-name'],
    ['2x ', 'no-name'],
    ['1/0 tsp/lb', 'divided-by-zero'],
  ];
  for (const [text, code] of faults) assert.equal(read(text), code, text);
});

test('parse and write undo each other for rates and relations too', () => {
  const millionths = fc.integer({ min: 1, max: 900_000_000 }).map((n) => n / 1e6);
  const counted = fc.oneof(
    millionths.map((massG) => ({ kind: 'mass' as const, massG })),
    millionths.map((volumeMl) => ({ kind: 'volume' as const, volumeMl })),
    millionths.map((drops) => ({ kind: 'drops' as const, drops })),
    millionths.map((blocks) => ({ kind: 'blocks' as const, blocks })),
  );
  const perKg = millionths.map((n) => n / 1000);
  const quantity = fc.oneof(
    counted,
    counted.map((amount) => ({ kind: 'perPiece' as const, amount })),
    perKg.map((mlPerBaseG) => ({ kind: 'volumePerBase' as const, mlPerBaseG })),
    perKg.map((dropsPerBaseG) => ({ kind: 'dropsPerBase' as const, dropsPerBaseG })),
    perKg.map((blocksPerBaseG) => ({ kind: 'blocksPerBase' as const, blocksPerBaseG })),
    millionths.map((factor) => ({ kind: 'times' as const, factor, of: 'Bay & Rope' })),
  );
  fc.assert(
    fc.property(quantity, (value) => {
      const parsed = parseQuantity(writeQuantity(value));
      assert.ok(parsed.success, writeQuantity(value));
      assert.equal(parsed.data.kind, value.kind);
      assert.equal(writeQuantity(parsed.data), writeQuantity(value));
    }),
    { numRuns: 500 },
  );
});

test('parse undoes format in every unit', () => {
  const size = (quantity: object) =>
    Object.values(quantity).find((each) => typeof each === 'number') as number;
  fc.assert(
    fc.property(fc.constantFrom(...UNITS), fc.integer({ min: 1, max: 99_999 }), (unit, thousandths) => {
      const value = thousandths / 1000;
      const one = parseQuantity(`1 ${unit.symbol}`);
      const parsed = parseQuantity(`${writeFigure(value, 6)} ${unit.symbol}`);
      assert.ok(one.success && (parsed.success || value > 100));
      if (parsed.success) assert.ok(Math.abs(size(parsed.data) / size(one.data) / value - 1) < 1e-12);
    }),
  );
});
