import assert from 'node:assert/strict';
import test from 'node:test';
import { isClose } from '../../../../tests/support/planFiles';
import { boxSoup } from '../../../../tests/support/stlFiles';
import { shapeSchema } from '../moldSchema';
import { depthMm, reachMm, shapeCapacityMl, volumeBelowMl } from '../shape';
import { BRIM_SIDES, type TriangleSoup } from './mesh';
import { modelShape, readModel } from './modelShape';

const soup = (triangles: number[][]): TriangleSoup => Float64Array.from(triangles.flat());
const box = boxSoup(40, 30, 20);
const turnRound = (triangle: number[]) => [
  ...triangle.slice(0, 3),
  ...triangle.slice(6),
  ...triangle.slice(3, 6),
];
function read(triangles: number[][]) {
  const model = readModel(soup(triangles));
  assert.ok(model.success, model.success ? '' : model.error.code);
  return model.data;
}

test('a clean box is read as it is: 40 x 30 x 20 is 24 mL', () => {
  const model = read(box);
  assert.deepEqual(model.size, { x: 40, y: 30, z: 20 });
  const { triangles, dropped, bodies, turned, insideOut, closed } = model.report;
  assert.deepEqual(
    { triangles, dropped, bodies, turned, insideOut, closed },
    { triangles: 12, dropped: 0, bodies: 1, turned: 0, insideOut: false, closed: 0 },
  );
  const shape = modelShape(model, 1, '+z');
  assert.ok(shapeSchema.safeParse(shape).success);
  assert.ok(isClose(shapeCapacityMl(shape), 24, 1e-6));
  for (const height of [3.3, 10, 19]) assert.ok(isClose(volumeBelowMl(shape, height), 1.2 * height, 1e-6));
});

test('the unit is the user’s: the same file in inches is 25.4³ as large', () => {
  const small = modelShape(read(boxSoup(2, 1.5, 1)), 25.4, '+z');
  assert.ok(isClose(shapeCapacityMl(small), 3 * 25.4 ** 3 * 1e-3, 1e-6));
  assert.ok(isClose(depthMm(small), 25.4, 1e-6));
});

test('any side may be the brim; the longer side lies along the length', () => {
  const depths = { '+z': 20, '-z': 20, '+y': 30, '-y': 30, '+x': 40, '-x': 40 };
  for (const brim of BRIM_SIDES) {
    const shape = modelShape(read(box), 1, brim);
    assert.ok(isClose(depthMm(shape), depths[brim], 1e-6), brim);
    assert.ok(isClose(shapeCapacityMl(shape), 24, 1e-6), brim);
    const [length, width] = [reachMm(shape, 'length'), reachMm(shape, 'width')];
    assert.ok(length[1] >= width[1] && isClose(-length[0], length[1], 1e-6), brim);
  }
});

test('open brims are closed, faces that look the wrong way turned, and all of it is told', () => {
  const open = read(box.slice(0, 2).concat(box.slice(4)));
  assert.equal(open.report.closed, 1);
  assert.ok(isClose(shapeCapacityMl(modelShape(open, 1, '+z')), 24));
  const wrong = read(box.map((triangle, index) => (index === 5 ? turnRound(triangle) : triangle)));
  assert.equal(wrong.report.turned, 1);
  assert.ok(isClose(shapeCapacityMl(modelShape(wrong, 1, '+z')), 24));
  const out = read(box.map(turnRound));
  assert.deepEqual([out.report.insideOut, out.report.turned], [true, 0]);
  assert.ok(isClose(shapeCapacityMl(modelShape(out, 1, '+z')), 24));
  const slivers = read([...box, [0, 0, 0, 0, 0, 0, 1, 1, 1]]);
  assert.equal(slivers.report.dropped, 1);
});

test('what has no inside is refused, and how it is broken is told', () => {
  // A hole round a corner: its rim does not lie in a plane.
  const torn = readModel(soup(box.filter((_, index) => index !== 2 && index !== 4)));
  assert.ok(!torn.success && torn.error.code === 'no-inside' && torn.error.report.openEdges > 0);
  const crowded = readModel(soup([...box, [0, 0, 0, 40, 0, 0, 20, 15, 60]]));
  assert.ok(!crowded.success && crowded.error.code === 'no-inside' && crowded.error.report.crowdedEdges > 0);
  const flat = readModel(soup([[0, 0, 0, 1, 0, 0, 0, 1, 0]]));
  assert.ok(!flat.success && flat.error.code === 'flat');
});

test('a step in the floor is a step in the area, to the last digit', () => {
  // A box of 40 x 30 x 8 on top of one of 20 x 30 x 4, as one body would be poured: two bodies that share no corner.
  const low = boxSoup(20, 30, 4).map((triangle) =>
    triangle.map((figure, place) => (place % 3 === 0 ? figure + 5 : figure)),
  );
  const high = boxSoup(40, 30, 8).map((triangle) =>
    triangle.map((figure, place) => (place % 3 === 2 ? figure + 4 : figure)),
  );
  const model = read([...low, ...high]);
  assert.equal(model.report.bodies, 2);
  const shape = modelShape(model, 1, '+z');
  for (const [height, volume] of [
    [2, 1.2],
    [4, 2.4],
    [5, 3.6],
    [12, 12],
  ] as const)
    assert.ok(isClose(volumeBelowMl(shape, height), volume, 1e-6), `${height}`);
});
