import assert from 'node:assert/strict';
import test from 'node:test';
import { KITCHEN_SCALE, standInScale } from './standInScale';

const steady = () => 0.5;
const shown = (of: ReturnType<ReturnType<typeof standInScale>['after']>) =>
  of === null || of === 'overload' ? Number.NaN : of.massG;

test('what is laid on settles to its step; tare takes it off; taken away it is below nothing', () => {
  const scale = standInScale({ ...KITCHEN_SCALE, driftGPerH: 0 }, steady);
  scale.add(123.44);
  const moving = scale.after(0.1);
  assert.ok(moving !== null && moving !== 'overload' && !moving.isStable && moving.massG < 123);
  const settled = scale.after(10);
  assert.deepEqual(settled, { massG: 123.4, isStable: true });
  scale.tare();
  assert.equal(shown(scale.after(1)), 0);
  scale.add(-200);
  assert.ok(Math.abs(shown(scale.after(10)) + 123.4) < 0.1);
  assert.equal(scale.loadG(), 0);
});

test('over its capacity it says so; unplugged it says nothing, and plugged in it begins at nothing; it drifts', () => {
  const scale = standInScale(KITCHEN_SCALE, steady);
  scale.add(6000);
  assert.equal(scale.after(10), 'overload');
  scale.add(-5900);
  scale.after(10);
  scale.plug(false);
  assert.equal(scale.after(1), null);
  scale.plug(true);
  assert.equal(shown(scale.after(1)), 0);
  assert.ok(Math.abs(shown(scale.after(7200)) - 1) < 0.11);
});

test('noise stays within a few of its own size, and is the same for the same seed', () => {
  const draws = (seed: number) => {
    let state = seed;
    const scale = standInScale({ ...KITCHEN_SCALE, stepG: 0.001, driftGPerH: 0 }, () => {
      state = (state * 1_103_515_245 + 12_345) % 2 ** 31;
      return state / 2 ** 31;
    });
    scale.add(100);
    scale.after(20);
    return Array.from({ length: 200 }, () => shown(scale.after(0.1)));
  };
  const once = draws(7);
  assert.deepEqual(once, draws(7));
  const spread = Math.sqrt(once.reduce((sum, each) => sum + (each - 100) ** 2, 0) / once.length);
  assert.ok(spread > 0.005 && spread < 0.06, `${spread}`);
});
