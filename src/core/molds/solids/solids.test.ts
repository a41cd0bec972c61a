import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { isClose } from '../../../../tests/support/planFiles';
import { shapeSchema } from '../moldSchema';
import {
  areaAtMm2,
  depthMm,
  heightForDiscMm,
  heightForVolumeMm,
  type KnownShape,
  outlineAt,
  shapeCapacityMl,
  solidOf,
  spanAtMm,
  usualAxis,
  volumeBelowMl,
  whereGrowing,
  widthMm,
} from '../shape';

const mm = fc.integer({ min: 20, max: 300 });
const profile = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 5, max: 120 })), {
    minLength: 1,
    maxLength: 6,
  })
  .map((steps) => {
    let heightMm = 0;
    return [
      { heightMm: 0, halfWidthMm: 10 },
      ...steps.map(([rise, halfWidthMm]) => {
        heightMm += rise;
        return { heightMm, halfWidthMm };
      }),
    ];
  });
const steps = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 1, max: 200 })), {
    minLength: 2,
    maxLength: 8,
  })
  .map((rises) => {
    let [heightMm, volumeMl] = [0, 0];
    return rises.map(([height, volume]) => {
      heightMm += height;
      volumeMl += volume;
      return { heightMm, volumeMl };
    });
  });

const anyShape: fc.Arbitrary<KnownShape> = fc
  .oneof(
    fc.record({
      kind: fc.constant('box' as const),
      lengthMm: mm,
      widthMm: mm,
      depthMm: mm,
      draftDeg: fc.integer({ min: 0, max: 12 }),
      cornerMm: fc.integer({ min: 0, max: 20 }),
    }),
    fc.record({ kind: fc.constant('cylinder' as const), diameterMm: mm, depthMm: mm }),
    fc.record({ kind: fc.constant('frustum' as const), floorDiameterMm: mm, diameterMm: mm, depthMm: mm }),
    fc.record({ kind: fc.constant('hemisphere' as const), diameterMm: mm }),
    fc.record({ kind: fc.constant('sphere' as const), diameterMm: mm }),
    fc.record({ kind: fc.constant('half-cylinder' as const), diameterMm: mm, lengthMm: mm }),
    fc.record({ kind: fc.constant('revolved' as const), points: profile }),
    fc.record({ kind: fc.constant('drawn-out' as const), points: profile, lengthMm: mm }),
    fc.record({ kind: fc.constant('water-steps' as const), steps }),
  )
  .filter((shape) => shapeSchema.safeParse(shape).success);
const share = fc.double({ min: 0, max: 1, noNaN: true });

test('volume grows with height, and height and volume undo each other within 0.01 mm', () => {
  fc.assert(
    fc.property(anyShape, share, share, (shape, one, other) => {
      const [low, high] = [Math.min(one, other) * depthMm(shape), Math.max(one, other) * depthMm(shape)];
      assert.ok(volumeBelowMl(shape, low) <= volumeBelowMl(shape, high) + 1e-9);
      // Where a surface is hardly wider than nothing, a height can't be told from its volume.
      if (areaAtMm2(shape, low) < 1) return;
      assert.ok(Math.abs(heightForVolumeMm(shape, volumeBelowMl(shape, low)) - low) < 0.01);
    }),
    { numRuns: 500 },
  );
});

test('area is the slope of volume, and the section is as wide as the outline', () => {
  fc.assert(
    fc.property(anyShape, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (shape, at) => {
      const height = depthMm(shape) * at;
      const small = depthMm(shape) * 1e-5;
      const slope =
        ((volumeBelowMl(shape, height + small) - volumeBelowMl(shape, height - small)) * 1000) / (2 * small);
      const area = areaAtMm2(shape, height);
      // At a kink of a profile, or at a step of water, the slope is the mean of both sides.
      const kinks = 'points' in shape ? shape.points : 'steps' in shape ? shape.steps : [];
      const isKink = kinks.some(({ heightMm }) => Math.abs(heightMm - height) <= 2 * small);
      assert.ok(isKink || isClose(slope, area, 1e-3) || Math.abs(slope - area) < 0.5, `${slope} ${area}`);
      const outline = outlineAt(shape, height);
      assert.ok(outline.kind !== 'rings');
      const [from, to] = spanAtMm(shape, height, usualAxis(shape));
      const sides = outline.kind === 'circle' ? [outline.diameterMm] : [outline.lengthMm, outline.widthMm];
      assert.ok(sides.some((side) => isClose(to - from, side)));
      assert.ok(to - from <= widthMm(shape) * 1.001 + 1e-9);
    }),
    { numRuns: 300 },
  );
});

// Closed formulas of Bronshtein, Semendyayev et al., Handbook of Mathematics: frustum, spherical cap, segment.

test('capacities by closed formulas', () => {
  const capacity = (shape: KnownShape) => shapeCapacityMl(shape);
  const upright = { draftDeg: 0, cornerMm: 0 };
  assert.ok(isClose(capacity({ kind: 'box', lengthMm: 80, widthMm: 50, depthMm: 25, ...upright }), 100));
  // Round edges of 10 mm take (4 − π)·100 mm² off the plan.
  const round = { kind: 'box', lengthMm: 80, widthMm: 50, depthMm: 25, draftDeg: 0, cornerMm: 10 } as const;
  assert.ok(isClose(capacity(round), ((4000 - (4 - Math.PI) * 100) * 25) / 1000));
  // A box that leans is a frustum of a pyramid: h/3 · (A + √(A·B) + B) where the sides are in proportion.
  const lean = { kind: 'box', lengthMm: 60, widthMm: 60, depthMm: 20, draftDeg: 45, cornerMm: 0 } as const;
  assert.ok(isClose(capacity(lean), ((20 / 3) * (3600 + 60 * 20 + 400)) / 1000));
  const cup = { kind: 'frustum', floorDiameterMm: 40, diameterMm: 60, depthMm: 30 } as const;
  assert.ok(isClose(capacity(cup), (Math.PI * 30 * (20 ** 2 + 20 * 30 + 30 ** 2)) / 3 / 1000));
  const log = { kind: 'half-cylinder', diameterMm: 60, lengthMm: 200 } as const;
  assert.ok(isClose(capacity(log), ((Math.PI * 30 ** 2) / 2) * 0.2));
  const ball = { kind: 'sphere', diameterMm: 70 } as const;
  assert.ok(isClose(capacity(ball), ((4 / 3) * Math.PI * 35 ** 3) / 1000));
  // Segment of a circle by its angle: r²·(φ − sin φ)/2, half full in height.
  const angle = 2 * Math.acos(0.5);
  assert.ok(isClose(volumeBelowMl(log, 15), ((30 ** 2 * (angle - Math.sin(angle))) / 2) * 0.2));
});

test('Archimedes: a ball is two thirds of its cylinder, a cone profile the rest of a hemisphere', () => {
  const cylinder = shapeCapacityMl({ kind: 'cylinder', diameterMm: 70, depthMm: 70 });
  assert.ok(isClose(shapeCapacityMl({ kind: 'sphere', diameterMm: 70 }) / cylinder, 2 / 3));
  const cone = shapeCapacityMl({
    kind: 'revolved',
    points: [
      { heightMm: 0, halfWidthMm: 0 },
      { heightMm: 35, halfWidthMm: 35 },
    ],
  });
  const half = shapeCapacityMl({ kind: 'hemisphere', diameterMm: 70 });
  assert.ok(isClose(cone + half, cylinder / 2));
});

test('a profile turned or drawn out agrees with the shape it follows', () => {
  const cup = { kind: 'frustum', floorDiameterMm: 40, diameterMm: 60, depthMm: 30 } as const;
  const points = [
    { heightMm: 0, halfWidthMm: 20 },
    { heightMm: 12, halfWidthMm: 24 },
    { heightMm: 30, halfWidthMm: 30 },
  ];
  const arc = Array.from({ length: 181 }, (_, step) => {
    const angle = (step * Math.PI) / 360;
    return { heightMm: 35 * (1 - Math.cos(angle)), halfWidthMm: 35 * Math.sin(angle) };
  });
  for (const height of [3, 12, 29]) {
    assert.ok(isClose(volumeBelowMl({ kind: 'revolved', points }, height), volumeBelowMl(cup, height)));
    const bowl = volumeBelowMl({ kind: 'revolved', points: arc }, height);
    assert.ok(isClose(bowl, volumeBelowMl({ kind: 'hemisphere', diameterMm: 70 }, height), 1e-3));
    const log = volumeBelowMl({ kind: 'drawn-out', points: arc, lengthMm: 90 }, height);
    assert.ok(
      isClose(log, volumeBelowMl({ kind: 'half-cylinder', diameterMm: 70, lengthMm: 90 }, height), 1e-3),
    );
  }
});

test('water steps pass through what was measured and stay monotone between', () => {
  const measured = [
    { heightMm: 5, volumeMl: 10 },
    { heightMm: 10, volumeMl: 40 },
    { heightMm: 30, volumeMl: 60 },
  ];
  const shape = { kind: 'water-steps', steps: measured } as const;
  for (const step of measured) assert.ok(isClose(volumeBelowMl(shape, step.heightMm), step.volumeMl));
  assert.equal(volumeBelowMl(shape, 0), 0);
  // A cylinder that was measured in steps is that cylinder.
  const even = [10, 20, 30].map((heightMm) => ({ heightMm, volumeMl: heightMm * 4 }));
  for (const height of [1, 7.5, 15, 29])
    assert.ok(isClose(volumeBelowMl({ kind: 'water-steps', steps: even }, height), height * 4));
});

test('a disc on a round floor, and none on a square one', () => {
  // r = 35: a disc of 30 mm stands at 35 − √(35² − 15²) = 3.377 mm.
  const height = heightForDiscMm({ kind: 'hemisphere', diameterMm: 70 }, 30);
  assert.ok(height !== null && isClose(height, 35 - Math.sqrt(35 ** 2 - 15 ** 2), 1e-9));
  assert.equal(heightForDiscMm({ kind: 'hemisphere', diameterMm: 70 }, 71), null);
  const box = { kind: 'box', lengthMm: 80, widthMm: 50, depthMm: 25, draftDeg: 0, cornerMm: 0 } as const;
  assert.equal(heightForDiscMm(box, 30), null);
  assert.equal(heightForDiscMm({ kind: 'cylinder', diameterMm: 60, depthMm: 20 }, 30), 0);
});

test('a height or a volume outside the cavity is refused', () => {
  const ball: KnownShape = { kind: 'hemisphere', diameterMm: 70 };
  for (const volume of [90, -1, Number.NaN]) assert.throws(() => heightForVolumeMm(ball, volume), RangeError);
  assert.throws(() => volumeBelowMl(ball, 36), RangeError);
  assert.equal(solidOf(ball).depthMm, 35);
});

test('shapes that cannot be are refused with their reason', () => {
  const reason = (shape: unknown) => {
    const read = shapeSchema.safeParse(shape);
    return read.success ? '' : read.error.issues.map(({ message }) => message).join();
  };
  const box = { kind: 'box', lengthMm: 40, widthMm: 40, depthMm: 40, draftDeg: 30, cornerMm: 0 };
  assert.match(reason(box), /walls-meet/);
  assert.match(reason({ ...box, draftDeg: 0, cornerMm: 21 }), /corners-too-round/);
  const points = [
    { heightMm: 0, halfWidthMm: 10 },
    { heightMm: 0, halfWidthMm: 12 },
  ];
  assert.match(reason({ kind: 'revolved', points }), /profile-rises/);
  const falling = [
    { heightMm: 5, volumeMl: 10 },
    { heightMm: 9, volumeMl: 9 },
  ];
  assert.match(reason({ kind: 'water-steps', steps: falling }), /steps-rise/);
});

test('a place within a width is bisection’s, in half the steps where the function is smooth and in few more where it is not', () => {
  const bisected = (most: number, figure: (at: number) => number, within: number) => {
    let [low, high] = [0, most];
    while (high - low > within) {
      const middle = (low + high) / 2;
      if (figure(middle) < 0) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  fc.assert(
    fc.property(
      fc.double({ min: 0.01, max: 900, noNaN: true }),
      share,
      fc.constantFrom(0.5, 1, 2, 3),
      fc.constantFrom(1e-10, 1e-7, 1e-4),
      fc.boolean(),
      (most, at, power, within, jumps) => {
        const root = most * at;
        let steps = 0;
        const figure = (x: number) => {
          steps++;
          return jumps && x < root ? -1 : Math.sign(x - root) * Math.abs(x - root) ** power;
        };
        const found = whereGrowing(most, figure, within);
        const taken = steps;
        steps = 0;
        const asBisected = bisected(most, figure, within);
        assert.ok(Math.abs(found - asBisected) <= 0.01 * within, `${found} for ${asBisected}`);
        // Its two ends besides, and one step for the pull.
        assert.ok(taken <= steps + 4, `${taken} steps for ${steps}`);
      },
    ),
    { numRuns: 2000 },
  );
  let steps = 0;
  const smooth = (x: number) => {
    steps++;
    return x ** 3 - 5;
  };
  assert.ok(Math.abs(whereGrowing(10, smooth, 1e-10) - Math.cbrt(5)) < 1e-10);
  // Bisection takes 37.
  assert.ok(steps < 18, `${steps} steps`);
});
