import assert from 'node:assert/strict';
import test from 'node:test';
import { seededRandom } from '../core/seededRandom';
import { KITCHEN_THERMOMETER, standInThermometer } from './standInThermometer';

test('a stand-in thermometer follows what it stands in by its lag, in its steps, and is gone while unplugged', () => {
  const still = { ...KITCHEN_THERMOMETER, noiseK: 0 };
  const thermometer = standInThermometer(still, 20, seededRandom(1));
  thermometer.into(60);
  const first = thermometer.after(still.lagS);
  // After one lag, a first-order instrument has gone 1 − 1/e of the way (JCGM 200, 4.23; by hand).
  assert.ok(Math.abs((first?.tempC ?? 0) - (60 - 40 / Math.E)) <= still.stepK);
  assert.equal(first?.isStable, false);
  for (let second = 0; second < 60; second++) thermometer.after(1);
  assert.deepEqual(thermometer.after(1), { tempC: 60, isStable: true });
  thermometer.plug(false);
  assert.equal(thermometer.after(1), null);
  thermometer.plug(true);
  thermometer.into(20);
  assert.ok((thermometer.after(60)?.tempC ?? 99) < 20.2);
});

test('the same seed shows the same, and the noise is what it is said to be', () => {
  const shown = (seed: number) => {
    const thermometer = standInThermometer({ ...KITCHEN_THERMOMETER, stepK: 0.001 }, 50, seededRandom(seed));
    return Array.from({ length: 2000 }, () => thermometer.after(1)?.tempC ?? 0);
  };
  assert.deepEqual(shown(7).slice(0, 20), shown(7).slice(0, 20));
  const all = shown(3);
  const mean = all.reduce((sum, each) => sum + each, 0) / all.length;
  const deviation = Math.sqrt(all.reduce((sum, each) => sum + (each - mean) ** 2, 0) / all.length);
  assert.ok(Math.abs(mean - 50) < 0.02);
  assert.ok(Math.abs(deviation / KITCHEN_THERMOMETER.noiseK - 1) < 0.1, String(deviation));
});
