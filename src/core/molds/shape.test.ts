import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { isClose } from '../../../tests/support/planFiles';
import {
  depthMm,
  halfWidthAtMm,
  heightForVolumeMm,
  type KnownShape,
  shapeCapacityMl,
  volumeBelowMl,
} from './shape';

const mm = fc.integer({ min: 5, max: 300 });
const anyShape: fc.Arbitrary<KnownShape> = fc.oneof(
  fc.record({ kind: fc.constant('box' as const), lengthMm: mm, widthMm: mm, depthMm: mm }),
  fc.record({ kind: fc.constant('cylinder' as const), diameterMm: mm, depthMm: mm }),
  fc.record({ kind: fc.constant('hemisphere' as const), diameterMm: mm }),
);

test('capacities by closed formulas', () => {
  assert.ok(isClose(shapeCapacityMl({ kind: 'box', lengthMm: 80, widthMm: 50, depthMm: 25 }), 100));
  assert.ok(
    isClose(shapeCapacityMl({ kind: 'hemisphere', diameterMm: 70 }), ((2 / 3) * Math.PI * 35 ** 3) / 1000),
  );
});

test('height and volume undo each other within 0.01 mm', () => {
  fc.assert(
    fc.property(anyShape, fc.double({ min: 0, max: 1, noNaN: true }), (shape, share) => {
      const height = depthMm(shape) * share;
      assert.ok(Math.abs(heightForVolumeMm(shape, volumeBelowMl(shape, height)) - height) < 0.01);
    }),
  );
});

test('a hemisphere is as wide as its mouth at the brim and closed at its floor', () => {
  const ball: KnownShape = { kind: 'hemisphere', diameterMm: 70 };
  assert.ok(isClose(halfWidthAtMm(ball, 35), 35));
  assert.equal(halfWidthAtMm(ball, 0), 0);
});

test('a volume the cavity cannot hold is refused', () => {
  assert.throws(() => heightForVolumeMm({ kind: 'hemisphere', diameterMm: 70 }, 90), RangeError);
  assert.throws(() => heightForVolumeMm({ kind: 'hemisphere', diameterMm: 70 }, Number.NaN), RangeError);
});
