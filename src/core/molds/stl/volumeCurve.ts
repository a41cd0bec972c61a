import type { Mesh } from './mesh';

/** Volume below each height, and the area of the level surface just below and just above it. */
export interface VolumeCurve {
  volumeMm3: Float64Array;
  areaBelowMm2: Float64Array;
  areaAboveMm2: Float64Array;
}

/**
 * The whole volume curve of a closed mesh in one walk over its triangles, exact.
 *
 * By the divergence theorem with the field (0, 0, z − h), which vanishes on the surface at height h, the volume below h is
 * the sum over the triangles of ∫ (z − h) dA over what lies below h, dA the area seen from above, signed. Of a triangle
 * with corners z0 ≤ z1 ≤ z2 and area a that is a·(z̄ − h) when all of it lies below, −a·(h − z0)³ / (3·(z1 − z0)·(z2 − z0))
 * up to z1, and the difference to what is above from there on. The area is the slope. Triangles that lie below all the
 * heights that follow are kept as two running sums, so each is looked at only for the heights that it crosses.
 *
 * @param heightsMm rising
 */
export function volumeCurve({ corners, triangles }: Mesh, heightsMm: readonly number[]): VolumeCurve {
  const count = heightsMm.length;
  const heights = Float64Array.from(heightsMm);
  const volumeMm3 = new Float64Array(count);
  const areaBelowMm2 = new Float64Array(count);
  const areaAboveMm2 = new Float64Array(count);
  /** Of triangles that lie wholly below a height, from that height on: a, and a·z̄. */
  const area = new Float64Array(count + 1);
  const moment = new Float64Array(count + 1);
  /** The same for triangles that lie in a height: they are below it only seen from above. */
  const flat = new Float64Array(count);

  const first = placeOf(heights);
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b, c] = [(triangles[at] ?? 0) * 3, (triangles[at + 1] ?? 0) * 3, (triangles[at + 2] ?? 0) * 3];
    const [ax, ay, za] = [corners[a] ?? 0, corners[a + 1] ?? 0, corners[a + 2] ?? 0];
    const [bx, by, zb] = [corners[b] ?? 0, corners[b + 1] ?? 0, corners[b + 2] ?? 0];
    const [cx, cy, zc] = [corners[c] ?? 0, corners[c + 1] ?? 0, corners[c + 2] ?? 0];
    const seen = ((bx - ax) * (cy - ay) - (cx - ax) * (by - ay)) / 2;
    if (seen === 0) continue;
    const z0 = Math.min(za, zb, zc);
    const z2 = Math.max(za, zb, zc);
    const z1 = za + zb + zc - z0 - z2;
    let place = first(z0);
    for (; place < count && (heights[place] ?? 0) < z2; place++) {
      const h = heights[place] ?? 0;
      if (h <= z0) continue;
      const whole = (seen * (z0 + z1 + z2)) / 3;
      const [low, high] = [(z1 - z0) * (z2 - z0), (z2 - z0) * (z2 - z1)];
      const volume =
        h <= z1
          ? (-seen * (h - z0) ** 3) / (3 * low)
          : whole - seen * h - (seen * (z2 - h) ** 3) / (3 * high);
      const slope = h <= z1 ? (-seen * (h - z0) ** 2) / low : -seen + (seen * (z2 - h) ** 2) / high;
      volumeMm3[place] = (volumeMm3[place] ?? 0) + volume;
      areaBelowMm2[place] = (areaBelowMm2[place] ?? 0) + slope;
    }
    area[place] = (area[place] ?? 0) + seen;
    moment[place] = (moment[place] ?? 0) + (seen * (z0 + z1 + z2)) / 3;
    if (z0 === z2 && place < count && heights[place] === z2) flat[place] = (flat[place] ?? 0) + seen;
  }

  let [areaSum, momentSum] = [0, 0];
  for (let place = 0; place < count; place++) {
    areaSum += area[place] ?? 0;
    momentSum += moment[place] ?? 0;
    volumeMm3[place] = (volumeMm3[place] ?? 0) + momentSum - areaSum * (heights[place] ?? 0);
    const above = (areaBelowMm2[place] ?? 0) - areaSum;
    areaAboveMm2[place] = above;
    areaBelowMm2[place] = above + (flat[place] ?? 0);
  }
  return { volumeMm3, areaBelowMm2, areaAboveMm2 };
}

/** Finds the first height that is not below a figure. */
function placeOf(heights: Float64Array): (figure: number) => number {
  const count = heights.length;
  return (figure) => {
    let [low, high] = [0, count];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((heights[middle] ?? 0) < figure) low = middle + 1;
      else high = middle;
    }
    return low;
  };
}
