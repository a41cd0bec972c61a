import assert from 'node:assert/strict';
import test from 'node:test';
import { seededRandom } from '../seededRandom';
import { settledReadings } from './settledReadings';

const temps = (...all: number[]) => all.map((tempC) => ({ tempC }));
const settled = (...all: number[]) => settledReadings(temps(...all)).map(({ tempC }) => tempC);

test('what a thermometer showed while it warmed up, and before its jug was warmed again, is left out', () => {
  assert.deepEqual(settled(20, 45, 60, 63, 62.9, 62), [63, 62.9, 62]);
  assert.deepEqual(settled(63, 62, 61), [63, 62, 61]);
  assert.deepEqual(settled(65, 60, 55, 58, 64, 63), [64, 63]);
  assert.deepEqual(settled(62, 62.3, 61.9, 62.1, 61), [62.3, 61.9, 62.1, 61]);
  assert.deepEqual(settled(), []);
  assert.deepEqual(settled(20, 40), [40]);
});

test('noise of a cooling jug takes nothing away but its very beginning', () => {
  const random = seededRandom(5);
  const jug = Array.from({ length: 600 }, (_, second) => ({
    tempC: 65 - second * 0.02 + (random() - 0.5) * 0.8,
  }));
  const kept = settledReadings([...temps(20, 30, 50), ...jug]);
  assert.ok(kept.length > 560 && kept.length <= 600, String(kept.length));
});
