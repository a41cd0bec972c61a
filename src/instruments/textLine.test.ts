import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { readLine } from './textLine';

/** Lines of our own making, with what they say: g or °C, and whether it stands still. */
const LINES: [string, 'g' | 'C', number, boolean | null][] = [
  ['12.4 g', 'g', 12.4, null],
  ['12,4 g', 'g', 12.4, null],
  ['12.4g', 'g', 12.4, null],
  ['+12.4 g', 'g', 12.4, null],
  ['-12.4 g', 'g', -12.4, null],
  ['−12.4 g', 'g', -12.4, null],
  ['  +   12.40 g  ', 'g', 12.4, null],
  ['-  0.05 g', 'g', -0.05, null],
  ['.5 g', 'g', 0.5, null],
  ['0 g', 'g', 0, null],
  ['1 204.5 g', 'g', 1204.5, null],
  ['ST +12.4 g', 'g', 12.4, true],
  ['ST,+00012.40,g', 'g', 12.4, true],
  ['stable 12.4 g', 'g', 12.4, true],
  ['12.4 g stable', 'g', 12.4, true],
  ['12.4 g *', 'g', 12.4, true],
  ['= 12.4 g', 'g', 12.4, true],
  ['ok;12.4 g', 'g', 12.4, true],
  ['US 12.4 g', 'g', 12.4, false],
  ['unstable: 12.4 g', 'g', 12.4, false],
  ['12.4 g ?', 'g', 12.4, false],
  ['~12.4 g', 'g', 12.4, false],
  ['motion, 12.4 g', 'g', 12.4, false],
  ['weight: 12.4 grams', 'g', 12.4, null],
  ['net 0.0124 kg', 'g', 12.4, null],
  ['1.25 kg', 'g', 1250, null],
  ['12400 mg', 'g', 12.4, null],
  ['4 oz', 'g', 113.3980925, null],
  ['2.5 lb', 'g', 1133.980925, null],
  ['1 lb 4 oz', 'g', 566.9904625, null],
  ['-1 lb 4 oz', 'g', -566.9904625, null],
  ['12.4 G', 'g', 12.4, null],
  ['54.2 °C', 'C', 54.2, null],
  ['54.2°C', 'C', 54.2, null],
  ['54,2 C', 'C', 54.2, null],
  ['T: 54.2 C stable', 'C', 54.2, true],
  ['129.56 F', 'C', 54.2, null],
  ['129.56 °F', 'C', 54.2, null],
  ['-4.0 degC', 'C', -4, null],
  ['probe 2: 54.2 celsius', 'C', 54.2, null],
  ['n 17 w 12.4 g', 'g', 12.4, null],
];

test('forty kinds of lines are read: unit, sign, spaces, comma, and whether it stands still', () => {
  for (const [line, unit, value, isStable] of LINES) {
    const read = readLine(line, 7);
    const figure =
      read?.kind === 'mass' ? read.massG : read?.kind === 'temperature' ? read.tempC : Number.NaN;
    assert.equal(read?.kind, unit === 'g' ? 'mass' : 'temperature', line);
    assert.ok(Math.abs(figure - value) < 1e-6, `${line}: ${figure}`);
    assert.ok(read && 'isStable' in read && read.isStable === isStable && read.atMs === 7, line);
  }
  assert.ok(LINES.length >= 40);
});

test('overload is told as such, what is no reading is none, and nothing makes it throw', () => {
  for (const line of ['OL', '-----', 'Err 3', 'over load!', 'ST OL g'])
    assert.deepEqual(readLine(line, 1), { kind: 'overload', atMs: 1 }, line);
  for (const line of ['', 'hello', '12.4', '12.4 pcs', 'constructor', 'g 12'])
    assert.equal(readLine(line, 1), null, line);
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), (line) => {
      const read = readLine(line, 0);
      if (read?.kind === 'mass') assert.ok(Number.isFinite(read.massG));
      if (read?.kind === 'temperature') assert.ok(Number.isFinite(read.tempC));
    }),
  );
});
