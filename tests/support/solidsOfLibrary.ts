import loadManifold, { type CrossSection, type Manifold } from 'manifold-3d';
import type { TriangleSoup } from '../../src/core/molds/stl/mesh';

/** The geometry library that shapes are measured against. It knows nothing of this project's formulas. */
export const library = await loadManifold();
library.setup();

const SEGMENTS = 256;
library.setCircularSegments(SEGMENTS);

/** A box whose upright edges are round and whose walls lean: the hull of its floor and its brim. */
export function leaningBox(
  lengthMm: number,
  widthMm: number,
  depthMm: number,
  draftDeg: number,
  cornerMm: number,
) {
  const lean = 2 * depthMm * Math.tan((draftDeg * Math.PI) / 180);
  const plate = (length: number, width: number, z: number): Manifold => {
    const inner = library.CrossSection.square([length - 2 * cornerMm, width - 2 * cornerMm], true);
    const round: CrossSection = cornerMm > 0 ? inner.offset(cornerMm, 'Round', 2, SEGMENTS) : inner;
    return round.extrude(1e-6).translate([0, 0, z]);
  };
  return library.Manifold.hull([
    plate(lengthMm - lean, widthMm - lean, 0),
    plate(lengthMm, widthMm, depthMm - 1e-6),
  ]);
}

/** A profile of half widths turned round the upright axis. */
export function turned(points: readonly (readonly [heightMm: number, halfWidthMm: number])[]) {
  const outline: [number, number][] = [
    [0, points[0]?.[0] ?? 0],
    ...points.map(([height, half]): [number, number] => [half, height]),
    [0, points.at(-1)?.[0] ?? 0],
  ];
  return library.CrossSection.ofPolygons([outline]).revolve(SEGMENTS);
}

/** A profile of half widths drawn out along x. */
export function drawnAlong(
  points: readonly (readonly [heightMm: number, halfWidthMm: number])[],
  lengthMm: number,
) {
  const right = points.map(([height, half]): [number, number] => [half, height]);
  const left = points.map(([height, half]): [number, number] => [-half, height]).reverse();
  return library.CrossSection.ofPolygons([[...right, ...left]])
    .extrude(lengthMm, 0, 0, [1, 1], true)
    .rotate([90, 0, 0])
    .rotate([0, 0, 90]);
}

export function circleArc(radius: number, fromDeg: number, toDeg: number, steps = 96): [number, number][] {
  return Array.from({ length: steps + 1 }, (_, step) => {
    const angle = ((fromDeg + ((toDeg - fromDeg) * step) / steps) * Math.PI) / 180;
    return [radius * (1 - Math.cos(angle)), radius * Math.sin(angle)];
  });
}

/** Volume below the plane z = atMiddle + rise · (x or y), mL. */
export function volumeUnderPlane(
  solid: Manifold,
  { atMiddleMm, rise, along }: { atMiddleMm: number; rise: number; along: 'length' | 'width' },
): number {
  return underPlane(solid, { atMiddleMm, rise, along }).volume() / 1000;
}

export function underPlane(
  solid: Manifold,
  { atMiddleMm, rise, along }: { atMiddleMm: number; rise: number; along: 'length' | 'width' },
): Manifold {
  const size = Math.hypot(1, rise);
  const normal: [number, number, number] =
    along === 'length' ? [rise / size, 0, -1 / size] : [0, rise / size, -1 / size];
  return solid.trimByPlane(normal, -atMiddleMm / size);
}

export function soupOf(solid: Manifold): TriangleSoup {
  const { triVerts, vertProperties, numProp } = solid.getMesh();
  const soup = new Float64Array(triVerts.length * 3);
  triVerts.forEach((corner, index) => {
    for (let coordinate = 0; coordinate < 3; coordinate++)
      soup[index * 3 + coordinate] = vertProperties[corner * numProp + coordinate] ?? 0;
  });
  return soup;
}
