import { MM3_PER_ML, outlined, roundSolid, type Solid } from './solid';

/** A point of a profile: how far the wall is from the middle at a height above the floor. */
export interface ProfilePoint {
  heightMm: number;
  halfWidthMm: number;
}

/** Straight walls between the points; heights rise from 0 at the floor to the brim. */
interface Wall {
  fromMm: number;
  floorHalf: number;
  lean: number;
}

/** A lower rise between two points is a ledge, mm. */
const LEDGE_MM = 1e-6;

function walls(points: readonly ProfilePoint[]): { walls: Wall[]; depthMm: number } {
  const found = points.slice(1).map((to, index): Wall => {
    const from = points[index] ?? to;
    const riseMm = to.heightMm - from.heightMm;
    // A ledge: its lean would be without end, and it holds nothing.
    if (riseMm < LEDGE_MM) return { fromMm: from.heightMm, floorHalf: to.halfWidthMm, lean: 0 };
    return {
      fromMm: from.heightMm,
      floorHalf: from.halfWidthMm,
      lean: (to.halfWidthMm - from.halfWidthMm) / riseMm,
    };
  });
  return { walls: found, depthMm: points.at(-1)?.heightMm ?? 0 };
}

/** Sum of what lies below a height, wall by wall; `below` is the integral within one wall. */
function stacked(all: Wall[], below: (wall: Wall, rise: number) => number) {
  return (heightMm: number) =>
    all.reduce((sum, wall, index) => {
      const top = all[index + 1]?.fromMm ?? Number.POSITIVE_INFINITY;
      const rise = Math.min(heightMm, top) - wall.fromMm;
      return rise > 0 ? sum + below(wall, rise) : sum;
    }, 0);
}

function halfAt(all: Wall[]) {
  return (heightMm: number) => {
    const wall = all.findLast(({ fromMm }) => heightMm >= fromMm) ?? all[0];
    return wall ? wall.floorHalf + wall.lean * (heightMm - wall.fromMm) : 0;
  };
}

/** A profile turned round its upright axis: a stack of frustums of cones. */
export function revolved({ points }: { points: readonly ProfilePoint[] }): Solid {
  const { walls: all, depthMm } = walls(points);
  const solid = roundSolid(
    depthMm,
    halfAt(all),
    stacked(all, ({ floorHalf, lean }, rise) => {
      const top = floorHalf + lean * rise;
      return (Math.PI * rise * (floorHalf ** 2 + floorHalf * top + top ** 2)) / 3;
    }),
  );
  return { ...solid, turnsMm: all.map(({ fromMm }) => fromMm) };
}

/** A profile drawn out along a length: a stack of trapezoids, mirrored at the middle. */
export function drawnOut(shape: { points: readonly ProfilePoint[]; lengthMm: number }): Solid {
  const { walls: all, depthMm } = walls(shape.points);
  const half = halfAt(all);
  const areaMm2 = stacked(all, ({ floorHalf, lean }, rise) => 2 * floorHalf * rise + lean * rise ** 2);
  const solid = outlined({
    depthMm,
    volumeBelowMl: (h) => (areaMm2(h) * shape.lengthMm) / MM3_PER_ML,
    areaAtMm2: (h) => 2 * half(h) * shape.lengthMm,
    outlineAt: (h) => ({ kind: 'rectangle', lengthMm: shape.lengthMm, widthMm: 2 * half(h), cornerMm: 0 }),
  });
  return { ...solid, turnsMm: all.map(({ fromMm }) => fromMm) };
}
