/** Corners of triangles as they stand in a file: nine figures a triangle, in the file's own unit. */
export type TriangleSoup = Float64Array;

/** Triangles over shared corners. Seen from outside, the corners of a triangle run against the clock. */
export interface Mesh {
  /** x, y, z in turn. */
  corners: Float64Array;
  /** Three corners a triangle. */
  triangles: Int32Array;
}

/** Corners closer than this share of the model's size are one. */
const SAME_WITHIN = 1e-6;

/** Joins corners that are one, by rounding to a fine grid; triangles without area between their corners fall out. */
export function weld(soup: TriangleSoup): { mesh: Mesh; dropped: number } {
  let size = 0;
  for (const figure of soup) size = Math.max(size, Math.abs(figure));
  const grid = 1 / (SAME_WITHIN * size || 1);
  const count = soup.length / 3;
  const table = new Int32Array(2 ** Math.ceil(Math.log2(count * 2 + 2))).fill(-1);
  const mask = table.length - 1;
  const corners = new Float64Array(soup.length);
  const rounded = new Float64Array(soup.length);
  let found = 0;

  function cornerOf(at: number): number {
    const [x, y, z] = [soup[at] ?? 0, soup[at + 1] ?? 0, soup[at + 2] ?? 0];
    const [i, j, k] = [Math.round(x * grid), Math.round(y * grid), Math.round(z * grid)];
    let slot = (Math.imul(i, 73856093) ^ Math.imul(j, 19349663) ^ Math.imul(k, 83492791)) & mask;
    for (;;) {
      const corner = table[slot] ?? -1;
      if (corner < 0) {
        table[slot] = found;
        corners.set([x, y, z], found * 3);
        rounded.set([i, j, k], found * 3);
        return found++;
      }
      if (rounded[corner * 3] === i && rounded[corner * 3 + 1] === j && rounded[corner * 3 + 2] === k)
        return corner;
      slot = (slot + 1) & mask;
    }
  }

  const triangles = new Int32Array(count);
  let kept = 0;
  for (let triangle = 0; triangle < count; triangle += 3) {
    const [a, b, c] = [cornerOf(triangle * 3), cornerOf(triangle * 3 + 3), cornerOf(triangle * 3 + 6)];
    if (a === b || b === c || c === a) continue;
    triangles[kept] = a;
    triangles[kept + 1] = b;
    triangles[kept + 2] = c;
    kept += 3;
  }
  return {
    mesh: { corners: corners.slice(0, found * 3), triangles: triangles.slice(0, kept) },
    dropped: (count - kept) / 3,
  };
}

/** Signed volume, mm³: the sum of the tetrahedra to the origin. Negative when the mesh is inside out. */
export function meshVolumeMm3({ corners, triangles }: Mesh): number {
  let six = 0;
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b, c] = [(triangles[at] ?? 0) * 3, (triangles[at + 1] ?? 0) * 3, (triangles[at + 2] ?? 0) * 3];
    const [ax, ay, az] = [corners[a] ?? 0, corners[a + 1] ?? 0, corners[a + 2] ?? 0];
    const [bx, by, bz] = [corners[b] ?? 0, corners[b + 1] ?? 0, corners[b + 2] ?? 0];
    const [cx, cy, cz] = [corners[c] ?? 0, corners[c + 1] ?? 0, corners[c + 2] ?? 0];
    six += ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx);
  }
  return six / 6;
}

export const BRIM_SIDES = ['+z', '-z', '+y', '-y', '+x', '-x'] as const;
/** The side of the file's axes on which the cavity is open. */
export type BrimSide = (typeof BRIM_SIDES)[number];

/**
 * The mesh stood up for pouring: brim on top, floor at height 0, middle of the floor plan at 0, longer side along x.
 * Turned, never mirrored, so that what was outside stays outside.
 */
export function stoodUp({ corners, triangles }: Mesh, brim: BrimSide): Mesh {
  const turned = new Float64Array(corners.length);
  for (let at = 0; at < corners.length; at += 3)
    turned.set(TURN[brim](corners[at] ?? 0, corners[at + 1] ?? 0, corners[at + 2] ?? 0), at);
  const [x, y] = [extent(turned, 0), extent(turned, 1)];
  if (y.to - y.from > x.to - x.from) {
    for (let at = 0; at < turned.length; at += 3) {
      const [px, py] = [turned[at] ?? 0, turned[at + 1] ?? 0];
      turned[at] = py;
      turned[at + 1] = -px;
    }
  }
  const [length, width, height] = [extent(turned, 0), extent(turned, 1), extent(turned, 2)];
  for (let at = 0; at < turned.length; at += 3) {
    turned[at] = (turned[at] ?? 0) - (length.from + length.to) / 2;
    turned[at + 1] = (turned[at + 1] ?? 0) - (width.from + width.to) / 2;
    turned[at + 2] = (turned[at + 2] ?? 0) - height.from;
  }
  return { corners: turned, triangles };
}

const TURN: Record<BrimSide, (x: number, y: number, z: number) => [number, number, number]> = {
  '+z': (x, y, z) => [x, y, z],
  '-z': (x, y, z) => [x, -y, -z],
  '+y': (x, y, z) => [x, -z, y],
  '-y': (x, y, z) => [x, z, -y],
  '+x': (x, y, z) => [-z, y, x],
  '-x': (x, y, z) => [z, y, -x],
};

/** Least and most of one coordinate, mm. */
export function extent(corners: Float64Array, coordinate: 0 | 1 | 2): { from: number; to: number } {
  let [from, to] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (let at = coordinate; at < corners.length; at += 3) {
    const value = corners[at] ?? 0;
    if (value < from) from = value;
    if (value > to) to = value;
  }
  return { from, to };
}
