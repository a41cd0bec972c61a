import earcut from 'earcut';
import { type Mesh, meshVolumeMm3 } from './mesh';

/** What was wrong with a model, and what was done about it. */
export interface MeshReport {
  triangles: number;
  /** Triangles without area, left out. */
  dropped: number;
  /** Separate bodies. */
  bodies: number;
  /** Triangles that faced the other way than their neighbours, turned round. */
  turned: number;
  /** The whole model was inside out, and was turned. */
  insideOut: boolean;
  /** Flat holes that were closed, such as the open brim. */
  closed: number;
  /** Edges round holes that are not flat and stay open. */
  openEdges: number;
  /** Edges where more than two triangles meet. */
  crowdedEdges: number;
}

/** A hole is flat when its rim keeps to a plane within this share of its size. */
const FLAT_WITHIN = 0.002;

/**
 * Looks for what keeps a mesh from having an inside, and mends what can be mended without guessing: triangles that
 * face the wrong way, a mesh that is inside out, holes with a flat rim.
 */
export function mend(mesh: Mesh, dropped: number): { mesh: Mesh; report: MeshReport } {
  const edges = edgesOf(mesh.triangles);
  const { triangles, turned, bodies } = facingAlike(mesh, edges);
  const facing = { ...mesh, triangles };
  const { caps, closed, openEdges } = closeFlatHoles(facing);
  const whole = { ...mesh, triangles: joined(triangles, caps) };
  const insideOut = meshVolumeMm3(whole) < 0;
  if (insideOut) turnAll(whole.triangles);
  return {
    mesh: whole,
    report: {
      triangles: mesh.triangles.length / 3,
      dropped,
      bodies,
      turned,
      insideOut,
      closed,
      openEdges,
      crowdedEdges: edges.crowded,
    },
  };
}

interface Edges {
  /** For each half-edge its partner across, −1 where there is none. A half-edge is three times the triangle and its place. */
  partner: Int32Array;
  crowded: number;
}

function fromTo(triangles: Int32Array, half: number): [number, number] {
  const place = half % 3;
  return [triangles[half] ?? 0, triangles[place === 2 ? half - 2 : half + 1] ?? 0];
}

function edgesOf(triangles: Int32Array): Edges {
  const count = triangles.length;
  const partner = new Int32Array(count).fill(-1);
  const table = new Int32Array(2 ** Math.ceil(Math.log2(count * 2 + 2))).fill(-1);
  const mask = table.length - 1;
  const uses = new Uint8Array(count);
  let crowded = 0;
  for (let half = 0; half < count; half++) {
    const [a, b] = fromTo(triangles, half);
    const [low, high] = a < b ? [a, b] : [b, a];
    let slot = (Math.imul(low, 73856093) ^ Math.imul(high, 19349663)) & mask;
    for (;;) {
      const other = table[slot] ?? -1;
      if (other < 0) {
        table[slot] = half;
        break;
      }
      const [c, d] = fromTo(triangles, other);
      if ((c === low && d === high) || (c === high && d === low)) {
        const seen = (uses[other] ?? 0) + 1;
        uses[other] = seen;
        if (seen === 1) {
          partner[half] = other;
          partner[other] = half;
        } else crowded++;
        break;
      }
      slot = (slot + 1) & mask;
    }
  }
  return { partner, crowded };
}

/** Turns triangles until neighbours run along their common edge in opposite directions, body by body. */
function facingAlike(mesh: Mesh, { partner }: Edges) {
  const triangles = mesh.triangles.slice();
  const count = triangles.length / 3;
  const seen = new Uint8Array(count);
  const flipped = new Uint8Array(count);
  const queue = new Int32Array(count);
  let [bodies, turned] = [0, 0];
  for (let first = 0; first < count; first++) {
    if (seen[first]) continue;
    bodies++;
    let [head, tail] = [0, 0];
    queue[tail++] = first;
    seen[first] = 1;
    let [ownTurned, size] = [0, 0];
    while (head < tail) {
      const triangle = queue[head++] ?? 0;
      size++;
      ownTurned += flipped[triangle] ?? 0;
      for (let place = 0; place < 3; place++) {
        const half = triangle * 3 + place;
        const across = partner[half] ?? -1;
        const next = Math.floor(across / 3);
        if (across < 0 || seen[next]) continue;
        seen[next] = 1;
        const sameWay = fromTo(mesh.triangles, half)[0] === fromTo(mesh.triangles, across)[0];
        flipped[next] = sameWay ? 1 - (flipped[triangle] ?? 0) : (flipped[triangle] ?? 0);
        queue[tail++] = next;
      }
    }
    // The smaller part of a body is the one that faced the wrong way.
    const wrong = ownTurned * 2 > size ? 0 : 1;
    for (let at = 0; at < tail; at++) {
      const triangle = queue[at] ?? 0;
      if (flipped[triangle] !== wrong) continue;
      turned++;
      swap(triangles, triangle * 3);
    }
  }
  return { triangles, turned, bodies };
}

function swap(triangles: Int32Array, at: number) {
  const second = triangles[at + 1] ?? 0;
  triangles[at + 1] = triangles[at + 2] ?? 0;
  triangles[at + 2] = second;
}

function turnAll(triangles: Int32Array) {
  for (let at = 0; at < triangles.length; at += 3) swap(triangles, at);
}

/** Rims of holes as rings of corners, each closed with triangles where it is flat. */
function closeFlatHoles({ corners, triangles }: Mesh) {
  const { partner } = edgesOf(triangles);
  const next = new Map<number, number>();
  let openEdges = 0;
  for (let half = 0; half < triangles.length; half++) {
    if ((partner[half] ?? -1) >= 0) continue;
    const [from, to] = fromTo(triangles, half);
    // The cap runs along the rim the other way.
    next.set(to, from);
    openEdges++;
  }
  const caps: number[] = [];
  let closed = 0;
  while (next.size > 0) {
    const [start] = next.keys();
    const rim: number[] = [];
    let corner = start;
    while (corner !== undefined && next.has(corner)) {
      rim.push(corner);
      const following: number | undefined = next.get(corner);
      next.delete(corner);
      corner = following;
    }
    if (corner !== start || rim.length < 3) continue;
    const cap = flatCap(corners, rim);
    if (!cap) continue;
    for (const at of cap) caps.push(rim[at] ?? 0);
    closed++;
    openEdges -= rim.length;
  }
  return { caps, closed, openEdges };
}

/** Triangles over a rim, as places in it, all turned as the rim runs; null when it is not flat. */
function flatCap(corners: Float64Array, rim: readonly number[]): number[] | null {
  const at = (corner: number): [number, number, number] => [
    corners[corner * 3] ?? 0,
    corners[corner * 3 + 1] ?? 0,
    corners[corner * 3 + 2] ?? 0,
  ];
  // Newell's normal of a ring of corners.
  const normal = [0, 0, 0];
  const middle = [0, 0, 0];
  rim.forEach((corner, place) => {
    const [x, y, z] = at(corner);
    const [nextX, nextY, nextZ] = at(rim[(place + 1) % rim.length] ?? 0);
    normal[0] = (normal[0] ?? 0) + (y - nextY) * (z + nextZ);
    normal[1] = (normal[1] ?? 0) + (z - nextZ) * (x + nextX);
    normal[2] = (normal[2] ?? 0) + (x - nextX) * (y + nextY);
    middle[0] = (middle[0] ?? 0) + x / rim.length;
    middle[1] = (middle[1] ?? 0) + y / rim.length;
    middle[2] = (middle[2] ?? 0) + z / rim.length;
  });
  const [nx = 0, ny = 0, nz = 0] = normal;
  const [mx = 0, my = 0, mz = 0] = middle;
  const length = Math.hypot(nx, ny, nz);
  if (!(length > 0)) return null;
  const size = Math.sqrt(length / 2);
  const isFlat = rim.every((corner) => {
    const [x, y, z] = at(corner);
    return Math.abs((x - mx) * nx + (y - my) * ny + (z - mz) * nz) / length <= FLAT_WITHIN * size;
  });
  if (!isFlat) return null;
  // Seen along the coordinate that the plane faces most; kept from being mirrored.
  const [ax, ay, az] = [Math.abs(nx), Math.abs(ny), Math.abs(nz)];
  const flat = rim.flatMap((corner) => {
    const [x, y, z] = at(corner);
    if (az >= ax && az >= ay) return nz > 0 ? [x, y] : [y, x];
    if (ax >= ay) return nx > 0 ? [y, z] : [z, y];
    return ny > 0 ? [z, x] : [x, z];
  });
  const cap = earcut(flat);
  for (let index = 0; index < cap.length; index += 3) {
    const [a = 0, b = 0, c = 0] = cap.slice(index, index + 3);
    if (areaOf(flat, a, b, c) < 0) [cap[index + 1], cap[index + 2]] = [c, b];
  }
  return cap;
}

function areaOf(flat: readonly number[], a: number, b: number, c: number): number {
  const at = (place: number): [number, number] => [flat[place * 2] ?? 0, flat[place * 2 + 1] ?? 0];
  const [[ax, ay], [bx, by], [cx, cy]] = [at(a), at(b), at(c)];
  return ((bx - ax) * (cy - ay) - (cx - ax) * (by - ay)) / 2;
}

function joined(triangles: Int32Array, caps: readonly number[]): Int32Array {
  const whole = new Int32Array(triangles.length + caps.length);
  whole.set(triangles);
  whole.set(caps, triangles.length);
  return whole;
}
