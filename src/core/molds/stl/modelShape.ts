import { fail, ok, type Result } from '../../result';
import type { Shape } from '../mold';
import type { Contour } from '../solids/contours';
import { type Ring, ringArea } from '../solids/outline';
import { MM3_PER_ML } from '../solids/solid';
import { type MeshReport, mend } from './mend';
import { type BrimSide, extent, type Mesh, meshVolumeMm3, stoodUp, type TriangleSoup, weld } from './mesh';
import { bandsOf, simplified, slice } from './slice';
import { volumeCurve } from './volumeCurve';

/** A model file on its way to a cavity: what it holds in its own unit, and what was mended. */
export interface ReadModel {
  mesh: Mesh;
  report: MeshReport;
  /** In the file's own unit, which the file does not tell. */
  size: { x: number; y: number; z: number };
}

export type ModelFault =
  /** There is no inside: holes that are not flat, or edges of more than two faces. */
  { code: 'no-inside'; report: MeshReport } | { code: 'flat' };

/** Steps of the work, for a progress bar. */
export type Progress = (done: number, of: number) => void;

/** Joins and mends the triangles of a model file. */
export function readModel(soup: TriangleSoup): Result<ReadModel, ModelFault> {
  const { mesh, dropped } = weld(soup);
  if (mesh.triangles.length === 0) return fail({ code: 'flat' });
  const mended = mend(mesh, dropped);
  if (mended.report.openEdges > 0 || mended.report.crowdedEdges > 0)
    return fail({ code: 'no-inside', report: mended.report });
  if (!(meshVolumeMm3(mended.mesh) > 0)) return fail({ code: 'flat' });
  const [x, y, z] = ([0, 1, 2] as const).map((coordinate) => {
    const { from, to } = extent(mesh.corners, coordinate);
    return to - from;
  });
  return ok({ ...mended, size: { x: x ?? 0, y: y ?? 0, z: z ?? 0 } });
}

const EVEN_LEVELS = 48;
const MOST_LEVELS = 96;
/** Outlines are drawn to this; a pour is never read finer. */
const OUTLINE_WITHIN_MM = 0.03;
const MOST_RING_FIGURES = 400;

/**
 * The cavity that a model is the inside of, as contours: at every height where the model has flats or few corners, and
 * evenly between.
 *
 * @param scale millimetres of one unit of the file
 */
export function modelShape(
  model: Pick<ReadModel, 'mesh'>,
  scale: number,
  brim: BrimSide,
  progress: Progress = () => {},
): Extract<Shape, { kind: 'model' }> {
  const scaled = { ...model.mesh, corners: model.mesh.corners.map((figure) => figure * scale) };
  const mesh = stoodUp(scaled, brim);
  const depthMm = extent(mesh.corners, 2).to;
  const heights = levelsOf(mesh, depthMm);
  const curve = volumeCurve(mesh, heights);
  const hair = depthMm * 1e-6;
  const near = bandsOf(mesh, depthMm, 256);
  const ringsAt = (heightMm: number) => {
    const cut = slice(mesh, heightMm, near(heightMm));
    return cut.map(fine).filter((ring) => Math.abs(ringArea(ring)) > 0.01);
  };
  const last = heights.length - 1;
  const levels = heights.map((heightMm, index): Contour => {
    progress(index, heights.length);
    const [below, above] = [curve.areaBelowMm2[index] ?? 0, curve.areaAboveMm2[index] ?? 0];
    const isStep = index > 0 && index < last && Math.abs(below - above) > 0.01 * Math.max(below, above);
    return {
      heightMm: rounded(heightMm, 6),
      volumeMl: rounded(Math.max(0, curve.volumeMm3[index] ?? 0) / MM3_PER_ML, 9),
      areaBelowMm2: rounded(Math.max(0, index === 0 ? above : below), 6),
      areaAboveMm2: rounded(Math.max(0, index === last ? below : above), 6),
      rings: ringsAt(index === last ? heightMm - hair : heightMm + hair),
      ...(isStep ? { ringsBelow: ringsAt(heightMm - hair) } : {}),
    };
  });
  return { kind: 'model', levels };
}

/** Even heights, and every height at which the model has a corner where there are few of them, or a flat. */
function levelsOf({ corners, triangles }: Mesh, depthMm: number): number[] {
  const own = new Set<number>();
  for (let at = 2; at < corners.length && own.size <= MOST_LEVELS; at += 3) own.add(corners[at] ?? 0);
  const kinks = own.size <= MOST_LEVELS - EVEN_LEVELS ? [...own] : flats(corners, triangles);
  const even = Array.from({ length: EVEN_LEVELS + 1 }, (_, index) => (depthMm * index) / EVEN_LEVELS);
  const apart = depthMm * 1e-4;
  const kept: number[] = [];
  for (const height of [0, ...kinks, depthMm].sort((a, b) => a - b)) {
    if (height - (kept.at(-1) ?? Number.NEGATIVE_INFINITY) > apart) kept.push(height);
  }
  kept[kept.length - 1] = depthMm;
  const room = depthMm / EVEN_LEVELS / 4;
  for (const height of even) if (kept.every((each) => Math.abs(each - height) > room)) kept.push(height);
  return kept.sort((a, b) => a - b);
}

/** Heights of level faces, the largest first, as many as there is room for. */
function flats(corners: Float64Array, triangles: Int32Array): number[] {
  const areas = new Map<number, number>();
  const at = (corner: number, coordinate: number) => corners[corner * 3 + coordinate] ?? 0;
  for (let index = 0; index < triangles.length; index += 3) {
    const [a, b, c] = [triangles[index] ?? 0, triangles[index + 1] ?? 0, triangles[index + 2] ?? 0];
    if (at(a, 2) !== at(b, 2) || at(b, 2) !== at(c, 2)) continue;
    const twice =
      (at(b, 0) - at(a, 0)) * (at(c, 1) - at(a, 1)) - (at(c, 0) - at(a, 0)) * (at(b, 1) - at(a, 1));
    areas.set(at(a, 2), (areas.get(at(a, 2)) ?? 0) + Math.abs(twice));
  }
  return [...areas]
    .sort(([, one], [, other]) => other - one)
    .slice(0, MOST_LEVELS - EVEN_LEVELS)
    .map(([height]) => height);
}

/** A ring as few points as its drawing needs, to hundredths of a millimetre. */
function fine(ring: Ring): number[] {
  let within = OUTLINE_WITHIN_MM;
  let kept = simplified(ring, within);
  while (kept.length > MOST_RING_FIGURES) {
    within *= 2;
    kept = simplified(ring, within);
  }
  return kept.map((figure) => rounded(figure, 3));
}

function rounded(figure: number, digits: number): number {
  return Number(figure.toFixed(digits));
}
