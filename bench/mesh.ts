import { depthMm, volumeBelowMl } from '../src/core/molds/shape';
import { extent, stoodUp } from '../src/core/molds/stl/mesh';
import { modelShape, readModel } from '../src/core/molds/stl/modelShape';
import { volumeCurve } from '../src/core/molds/stl/volumeCurve';
import { readStl } from '../src/formats/stl';
import { library } from '../tests/support/solidsOfLibrary';
import { ballSoup, binaryStl } from '../tests/support/stlFiles';

const RINGS = 226;
const HEIGHTS = 100;
const ROUNDS = 9;

function medianMs(work: () => unknown): number {
  const rounds = Array.from({ length: ROUNDS }, () => {
    const began = performance.now();
    work();
    return performance.now() - began;
  });
  return rounds.sort((a, b) => a - b)[(ROUNDS - 1) / 2] ?? Number.NaN;
}

const bytes = binaryStl(ballSoup(30, RINGS));
const soup = readStl(bytes);
if (!soup.success) throw new Error(soup.error.code);
const model = readModel(soup.data);
if (!model.success) throw new Error(model.error.code);
const mesh = stoodUp(model.data.mesh, '+z');
const depth = extent(mesh.corners, 2).to;
const heights = Array.from({ length: HEIGHTS + 1 }, (_, index) => (depth * index) / HEIGHTS);

const solid = new library.Manifold(
  new library.Mesh({
    numProp: 3,
    vertProperties: Float32Array.from(mesh.corners),
    triVerts: Uint32Array.from(mesh.triangles),
  }),
);
const half = depth / 2;
const theirMl = solid.trimByPlane([0, 0, -1], -half).volume() / 1000;
const ourMl = (volumeCurve(mesh, heights).volumeMm3[HEIGHTS / 2] ?? 0) / 1000;

const curve = medianMs(() => volumeCurve(mesh, heights));
const cut = medianMs(() => solid.trimByPlane([0, 0, -1], -half).volume());
console.log(
  `a model of ${model.data.report.triangles} triangles: its volume at ${HEIGHTS + 1} heights ${curve.toFixed(1)} ms, one cut with its volume by manifold-3d ${cut.toFixed(1)} ms, ratio ${(curve / cut).toFixed(2)} (at half height ${ourMl.toFixed(4)} and ${theirMl.toFixed(4)} mL)`,
);
const reading = medianMs(() => readStl(bytes));
const mending = medianMs(() => soup.success && readModel(soup.data));
const began = performance.now();
const shape = modelShape(model.data, 1, '+z');
console.log(
  `  read ${reading.toFixed(0)} ms, joined and mended ${mending.toFixed(0)} ms, made a cavity of ${shape.levels.length} levels ${(performance.now() - began).toFixed(0)} ms; it holds ${volumeBelowMl(shape, depthMm(shape)).toFixed(2)} mL`,
);
