import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { type ReadingPoint, thinnedReadings } from './keptReadings';

test('a change of two steps is kept, at most one a second, and one every ten seconds where nothing changes', () => {
  const at = (atMs: number, value: number): ReadingPoint => ({ atMs, value });
  const kept = (points: ReadingPoint[], step = 0) =>
    thinnedReadings(points, null, 'temperature', step).map(({ atMs }) => atMs);
  assert.deepEqual(kept([at(0, 60), at(500, 50), at(1000, 59.9), at(1500, 59.8), at(1900, 59)]), [0, 1500]);
  assert.deepEqual(kept([at(0, 60), at(9000, 60.1), at(10_000, 60.1), at(11_000, 60.2)]), [0, 10_000]);
  assert.deepEqual(kept([at(0, 60), at(2000, 59), at(4000, 57.9)], 1), [0, 4000]);
  assert.deepEqual(thinnedReadings([at(500, 70)], at(0, 60), 'temperature'), []);
});

test('however readings come, what is kept is in order, a second apart, and never further from what was shown than a step', () => {
  const reading = fc.record({
    after: fc.integer({ min: 0, max: 3000 }),
    value: fc.double({ min: 0, max: 100, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(reading, { maxLength: 80 }), (all) => {
      let atMs = 0;
      const points = all.map(({ after, value }) => {
        atMs += after;
        return { atMs, value };
      });
      const kept = thinnedReadings(points, null, 'mass');
      for (const [place, point] of kept.entries()) {
        const before = kept[place - 1];
        assert.ok(!before || point.atMs - before.atMs >= 1000);
      }
      for (const point of points) {
        const near = kept.findLast(({ atMs: keptMs }) => keptMs <= point.atMs);
        assert.ok(near);
        const isNear = Math.abs(near.value - point.value) < 0.05 + 1e-9;
        assert.ok(isNear || point.atMs - near.atMs < 1000, 'a change was lost');
      }
    }),
  );
});
