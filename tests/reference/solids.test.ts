import assert from 'node:assert/strict';
import test from 'node:test';
import type { Manifold } from 'manifold-3d';
import {
  leaningCapacityMl,
  middleForVolumeMm,
  spillsAboveMm,
  surfaceOf,
  volumeUnderMl,
} from '../../src/core/molds/lean';
import {
  depthMm,
  heightForVolumeMm,
  type KnownShape,
  shapeCapacityMl,
  volumeBelowMl,
} from '../../src/core/molds/shape';
import { modelShape, readModel } from '../../src/core/molds/stl/modelShape';
import { isClose } from '../support/planFiles';
import {
  circleArc,
  drawnAlong,
  leaningBox,
  library,
  soupOf,
  turned,
  underPlane,
  volumeUnderPlane,
} from '../support/solidsOfLibrary';

// Against the geometry library manifold-3d (polygons of 256 sides, which are 0.01 % smaller than their circles).

const CUP: [number, number][] = [
  [0, 18],
  [9, 26],
  [20, 24],
  [31, 33],
];
const points = CUP.map(([heightMm, halfWidthMm]) => ({ heightMm, halfWidthMm }));
const upright = (solid: Manifold, depth: number) => solid.translate([0, 0, depth]);

const SHAPES: [string, KnownShape, Manifold][] = [
  [
    'box',
    { kind: 'box', lengthMm: 80, widthMm: 50, depthMm: 25, draftDeg: 0, cornerMm: 0 },
    leaningBox(80, 50, 25, 0, 0),
  ],
  [
    'box with draft and round corners',
    { kind: 'box', lengthMm: 84, widthMm: 56, depthMm: 30, draftDeg: 8, cornerMm: 9 },
    leaningBox(84, 56, 30, 8, 9),
  ],
  ['cylinder', { kind: 'cylinder', diameterMm: 64, depthMm: 25 }, library.Manifold.cylinder(25, 32, 32)],
  [
    'frustum',
    { kind: 'frustum', floorDiameterMm: 40, diameterMm: 60, depthMm: 30 },
    library.Manifold.cylinder(30, 20, 30),
  ],
  ['hemisphere', { kind: 'hemisphere', diameterMm: 70 }, turned(circleArc(35, 0, 90))],
  ['sphere', { kind: 'sphere', diameterMm: 60 }, upright(library.Manifold.sphere(30), 30)],
  [
    'half-cylinder',
    { kind: 'half-cylinder', diameterMm: 60, lengthMm: 90 },
    drawnAlong(circleArc(30, 0, 90), 90),
  ],
  ['revolved', { kind: 'revolved', points }, turned(CUP)],
  ['drawn-out', { kind: 'drawn-out', points, lengthMm: 70 }, drawnAlong(CUP, 70)],
];
const LEANS = [
  { deg: 6, along: 'length' },
  { deg: 14, along: 'width' },
  { deg: -25, along: 'length' },
  { deg: 0, along: 'length' },
] as const;
const SHARES = [0.2, 0.5, 0.85];

test('level volumes of every shape agree with the library’s cuts to 0.1 %', () => {
  for (const [name, shape, solid] of SHAPES) {
    for (const share of SHARES) {
      const atMiddleMm = depthMm(shape) * share;
      const expected = volumeUnderPlane(solid, { atMiddleMm, rise: 0, along: 'length' });
      const actual = volumeBelowMl(shape, atMiddleMm);
      assert.ok(isClose(actual, expected, 1e-3), `${name} at ${share}: ${actual} is not ${expected}`);
    }
  }
});

test('leaning volumes of every shape agree with the library’s slanted cuts to 0.1 %', () => {
  for (const [name, shape, solid] of SHAPES) {
    for (const lean of LEANS) {
      for (const share of SHARES) {
        const surface = surfaceOf(depthMm(shape) * share, lean);
        const expected = volumeUnderPlane(solid, surface);
        const actual = volumeUnderMl(shape, [surface]);
        assert.ok(
          isClose(actual, expected, 1e-3),
          `${name} ${lean.deg}° at ${share}: ${actual} is not ${expected}`,
        );
        const back = middleForVolumeMm(shape, [], lean, actual);
        assert.ok(
          Math.abs(back - surface.atMiddleMm) < 0.01,
          `${name}: ${back} is not ${surface.atMiddleMm}`,
        );
      }
    }
  }
});

test('a level pour on two slopes holds what the library’s union of the cuts leaves', () => {
  for (const [name, shape, solid] of SHAPES) {
    const depth = depthMm(shape);
    const surfaces = [
      surfaceOf(depth * 0.3, { deg: 12, along: 'length' }),
      surfaceOf(depth * 0.35, { deg: -9, along: 'width' }),
      surfaceOf(depth * 0.6, undefined),
    ];
    const expected = surfaces
      .map((surface) => underPlane(solid, surface))
      .reduce((sum, each) => sum.add(each))
      .volume();
    const actual = volumeUnderMl(shape, surfaces) * 1000;
    assert.ok(isClose(actual, expected, 1e-3), `${name}: ${actual} is not ${expected}`);
  }
});

test('a tilt of nothing is level, and a leaning cavity holds less before it runs over', () => {
  for (const [name, shape, solid] of SHAPES) {
    const capacity = shapeCapacityMl(shape);
    const level = { deg: 0, along: 'width' } as const;
    assert.ok(isClose(leaningCapacityMl(shape, level), capacity), name);
    for (const share of SHARES) {
      const middle = middleForVolumeMm(shape, [], level, capacity * share);
      assert.ok(Math.abs(middle - heightForVolumeMm(shape, capacity * share)) < 1e-4, name);
    }
    const lean = { deg: 10, along: 'length' } as const;
    const held = leaningCapacityMl(shape, lean);
    const surface = surfaceOf(spillsAboveMm(shape, lean), lean);
    assert.ok(isClose(held, volumeUnderPlane(solid, surface), 1e-3), `${name}: ${held}`);
    assert.ok(held <= capacity * (1 + 1e-9), name);
  }
});

test('a model of each shape is that shape to 0.1 %, level and leaning', () => {
  for (const [name, shape, solid] of SHAPES) {
    const read = readModel(soupOf(solid));
    assert.ok(read.success, name);
    const model = modelShape(read.data, 1, '+z');
    assert.ok(isClose(shapeCapacityMl(model), shapeCapacityMl(shape), 1e-3), name);
    for (const share of SHARES) {
      const height = depthMm(shape) * share;
      const [actual, expected] = [volumeBelowMl(model, height), volumeBelowMl(shape, height)];
      assert.ok(isClose(actual, expected, 1e-3), `${name} at ${share}: ${actual} is not ${expected}`);
      // The inverse against the library: the height that holds what the library finds below this one.
      const volumeMl = volumeUnderPlane(solid, { atMiddleMm: height, rise: 0, along: 'length' });
      assert.ok(Math.abs(heightForVolumeMm(model, volumeMl) - height) < 0.01, name);
      const surface = surfaceOf(height, { deg: 9, along: 'width' });
      const leaning = volumeUnderMl(model, [surface]);
      // The library's shapes may lie along either axis once the longer side is along x.
      const either = (['width', 'length'] as const).map((along) =>
        volumeUnderPlane(solid, { ...surface, along }),
      );
      assert.ok(
        either.some((each) => isClose(leaning, each, 1.5e-3)),
        `${name} leaning at ${share}: ${leaning} is not ${either}`,
      );
    }
  }
});
