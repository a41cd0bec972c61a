import assert from 'node:assert/strict';
import test from 'node:test';
import { lengthWords, rangeWords } from './lengthWords';

test('lengths are said no finer than they are known', () => {
  assert.deepEqual(
    [12, 75, 95, 431, 2000, 5400, 8000, 16_000].map((seconds) => lengthWords(seconds, 'en')),
    ['10 s', '75 s', '2 min', '7 min', '35 min', '1 h 30 min', '2 h 10 min', '4 h 30 min'],
  );
});

test('ranges share their unit; what is too short to tell says so', () => {
  const say = (low: number, high: number) => rangeWords({ low, middle: (low + high) / 2, high }, 'en');
  assert.equal(say(690, 1150), '12 to 19 min');
  assert.equal(say(15_600, 19_200), '4 h 20 min to 5 h 20 min');
  assert.equal(say(3000, 7000), '50 min to 1 h 55 min');
  assert.equal(say(590, 600), 'about 10 min');
  assert.match(say(30, 80), /too short to tell apart/);
});
