import type { Ring } from '../solids/outline';
import type { Mesh } from './mesh';

/** Triangles by the height bands that they touch, so that one slice looks at few of them. */
export function bandsOf({ corners, triangles }: Mesh, depthMm: number, bands: number) {
  const bandOf = (z: number) => Math.min(bands - 1, Math.max(0, Math.floor((z / depthMm) * bands)));
  const lists = Array.from({ length: bands }, (): number[] => []);
  for (let at = 0; at < triangles.length; at += 3) {
    const [za, zb, zc] = [0, 1, 2].map((place) => corners[(triangles[at + place] ?? 0) * 3 + 2] ?? 0);
    const [low, high] = [Math.min(za ?? 0, zb ?? 0, zc ?? 0), Math.max(za ?? 0, zb ?? 0, zc ?? 0)];
    for (let band = bandOf(low); band <= bandOf(high); band++) lists[band]?.push(at);
  }
  return (heightMm: number): readonly number[] => lists[bandOf(heightMm)] ?? [];
}

/**
 * The rings in which a level plane cuts a closed mesh. The plane should miss the corners; lay it a hair beside them.
 *
 * @param among triangles to look at, by the place of their first corner
 */
export function slice({ corners, triangles }: Mesh, heightMm: number, among: readonly number[]): Ring[] {
  /** From the edge where a piece of the cut begins to where it ends; an edge is the pair of its corners. */
  const pieces = new Map<number, { end: number; x: number; y: number }>();
  const count = corners.length / 3;
  for (const at of among) {
    const ids = [triangles[at] ?? 0, triangles[at + 1] ?? 0, triangles[at + 2] ?? 0];
    const above = ids.map((id) => (corners[id * 3 + 2] ?? 0) > heightMm);
    if (above[0] === above[1] && above[1] === above[2]) continue;
    let [start, end] = [-1, -1];
    let [x, y] = [0, 0];
    for (let place = 0; place < 3; place++) {
      const [from, to] = [ids[place] ?? 0, ids[(place + 1) % 3] ?? 0];
      if (above[place] === above[(place + 1) % 3]) continue;
      const edge = Math.min(from, to) * count + Math.max(from, to);
      // With the outside on the right, a cut enters where the edge comes down through the plane.
      if (above[place]) {
        const t =
          (heightMm - (corners[from * 3 + 2] ?? 0)) /
          ((corners[to * 3 + 2] ?? 0) - (corners[from * 3 + 2] ?? 0));
        x = (corners[from * 3] ?? 0) + t * ((corners[to * 3] ?? 0) - (corners[from * 3] ?? 0));
        y = (corners[from * 3 + 1] ?? 0) + t * ((corners[to * 3 + 1] ?? 0) - (corners[from * 3 + 1] ?? 0));
        start = edge;
      } else end = edge;
    }
    if (start >= 0 && end >= 0) pieces.set(start, { end, x, y });
  }
  const rings: Ring[] = [];
  while (pieces.size > 0) {
    const [first] = pieces.keys();
    const ring: number[] = [];
    let edge = first;
    for (let piece = pieces.get(edge ?? -1); piece; piece = pieces.get(edge ?? -1)) {
      ring.push(piece.x, piece.y);
      pieces.delete(edge ?? -1);
      edge = piece.end;
    }
    if (edge === first && ring.length >= 6) rings.push(ring);
  }
  return rings;
}

/** A ring with the points left out that lie within `withinMm` of the line through their neighbours kept (Douglas and Peucker, 1973). */
export function simplified(ring: Ring, withinMm: number): Ring {
  const count = ring.length / 2;
  const keep = new Uint8Array(count);
  let far = 0;
  let farthest = 0;
  for (let point = 1; point < count; point++) {
    const distance = Math.hypot(
      (ring[point * 2] ?? 0) - (ring[0] ?? 0),
      (ring[point * 2 + 1] ?? 0) - (ring[1] ?? 0),
    );
    if (distance > farthest) [far, farthest] = [point, distance];
  }
  keep[0] = 1;
  keep[far] = 1;
  const open: [number, number][] = [
    [0, far],
    [far, count],
  ];
  for (let span = open.pop(); span; span = open.pop()) {
    const [from, to] = span;
    const [ax, ay] = [ring[from * 2] ?? 0, ring[from * 2 + 1] ?? 0];
    const end = to % count;
    const [dx, dy] = [(ring[end * 2] ?? 0) - ax, (ring[end * 2 + 1] ?? 0) - ay];
    const length = Math.hypot(dx, dy) || 1;
    let [worst, off] = [-1, withinMm];
    for (let point = from + 1; point < to; point++) {
      const distance =
        Math.abs(((ring[point * 2] ?? 0) - ax) * dy - ((ring[point * 2 + 1] ?? 0) - ay) * dx) / length;
      if (distance > off) [worst, off] = [point, distance];
    }
    if (worst < 0) continue;
    keep[worst] = 1;
    open.push([from, worst], [worst, to]);
  }
  const kept: number[] = [];
  for (let point = 0; point < count; point++)
    if (keep[point]) kept.push(ring[point * 2] ?? 0, ring[point * 2 + 1] ?? 0);
  return kept;
}
