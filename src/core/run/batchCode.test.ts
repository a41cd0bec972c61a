import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { batchCode, batchDay, batchPrefix, readBatchCode } from './batchCode';

const anyCode = fc
  .tuple(fc.integer({ min: 0, max: 99 }), fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 28 }))
  .chain(([year, month, day]) =>
    fc.integer({ min: 1, max: 999 }).map((number) => ({ day: batchDay(2000 + year, month, day), number })),
  );

test('a code is read back however it is spaced or written', () => {
  const code = batchCode(batchDay(2026, 11, 28), 2);
  assert.match(code, /^261128-2[A-Z]$/);
  for (const typed of [code, code.toLowerCase(), ` ${code.replace('-', '')} `, code.split('').join(' ')])
    assert.equal(readBatchCode(typed), code);
  for (const none of ['', 'constructor', '261128', '261128-', 'I61128-2A', '261128-0002A'])
    assert.equal(readBatchCode(none), null);
});

test('a house that writes no day on its bars has codes of the year', () => {
  assert.equal(batchPrefix('day', 2026, 11, 28), '261128');
  const code = batchCode(batchPrefix('year', 2026, 11, 28), 14);
  // 26014 is 1131 times 23 and 1.
  assert.equal(code, '26-14B');
  for (const typed of [code, '26 14 b', '2614B']) assert.equal(readBatchCode(typed), code);
  for (const wrong of ['26-15B', '27-14B', '62-14B', '26-14C']) assert.equal(readBatchCode(wrong), null);
});

test('one wrong digit, a wrong letter, and two neighbours that changed places are all found', () => {
  fc.assert(
    fc.property(anyCode, ({ day, number }) => {
      const code = batchCode(day, number);
      const digits = `${day}${String(number).padStart(3, '0')}`;
      const letter = code.slice(-1);
      const isTaken = (wrong: string) =>
        readBatchCode(`${wrong.slice(0, 6)}-${Number(wrong.slice(6))}${letter}`) !== null;
      for (let place = 0; place < digits.length; place++) {
        for (const digit of '0123456789')
          if (digit !== digits[place])
            assert.ok(!isTaken(`${digits.slice(0, place)}${digit}${digits.slice(place + 1)}`));
        const [left, right] = [digits[place], digits[place + 1]];
        if (right !== undefined && left !== right)
          assert.ok(!isTaken(`${digits.slice(0, place)}${right}${left}${digits.slice(place + 2)}`));
      }
      for (const other of 'ABCDEFGHIJKLMNOPQRSTUVWXYZ')
        if (other !== letter) assert.equal(readBatchCode(code.slice(0, -1) + other), null);
    }),
    { numRuns: 300 },
  );
});
