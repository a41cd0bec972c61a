import assert from 'node:assert/strict';
import test from 'node:test';
import { readLengthS, readReadings } from './readings';

const read = (...words: Parameters<typeof readReadings>) => {
  const told = readReadings(...words);
  return told.success
    ? told.data.map(({ timeS, tempC }) => [timeS, Number(tempC.toFixed(2))])
    : `${told.error.line}: ${told.error.reason}`;
};

test('readings as they are typed, pasted or saved as CSV', () => {
  const same = [
    [0, 70],
    [60, 69.1],
    [150, 68.2],
  ];
  for (const text of [
    '0 70\n1 69.1\n2.5 68.2',
    '0:00 70\n1:00 69,1\n2:30 68,2',
    'min;°C\n0;70\n1;69,1\n2,5;68,2\n',
    'time,temp\r\n0,70\r\n1,69.1\r\n2.5,68.2',
    '0\t70 °C\n1\t69.1 °C\n\n2.5\t68.2 °C',
  ])
    assert.deepEqual(read(text, 'minutes', '°C'), same, text);
  assert.deepEqual(read('0,70\n60,69.1\n150,68.2', 'seconds', '°C'), same);
  assert.deepEqual(read('14:05 70\n14:06 69.1\n14:07:30 68.2', 'clock', '°C'), same);
  assert.deepEqual(read('23:59:00 70\n0:00:00 69.1\n0:01:30 68.2', 'clock', '°C'), same);
  assert.deepEqual(read('0 158\n1 156.38\n2.5 154.76', 'minutes', '°F'), same);
  // What is read first is the beginning.
  assert.deepEqual(read('10 70\n11 69', 'minutes', '°C'), [
    [0, 70],
    [60, 69],
  ]);
  assert.deepEqual(read('', 'minutes', '°C'), []);
});

test('a line that is no reading is named, with what to write', () => {
  assert.match(String(read('0 70\nhot', 'minutes', '°C')), /^2: “hot” is not a time and a temperature/);
  assert.match(String(read('0 70\n1 warm 3', 'minutes', '°C')), /^2: /);
  assert.match(String(read('0 70\nx 60', 'minutes', '°C')), /^2: “x” is not a time in minutes/);
  assert.match(String(read('5 70', 'clock', '°C')), /^1: “5” is not a time in hours and minutes/);
  assert.match(String(read('0 700', 'minutes', '°C')), /^1: 700 °C is no temperature of soap/);
  assert.match(String(read('-1 70', 'minutes', '°C')), /^1: /);
  assert.match(
    String(read(Array.from({ length: 2002 }, (_, i) => `${i} 50`).join('\n'), 'seconds', '°C')),
    /More than 2000/,
  );
});

test('a length of time as it is said', () => {
  assert.deepEqual(['6:40', '7', '2,5', ' ½ ', '', 'soon', '-3', '1:02:03'].map(readLengthS), [
    400,
    420,
    150,
    30,
    null,
    null,
    null,
    3723,
  ]);
});
