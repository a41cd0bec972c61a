/** Outline of a level surface, seen from above. Its middle is at 0, 0; x runs along the length, y along the width. */
export type Outline =
  | { kind: 'circle'; diameterMm: number }
  | { kind: 'rectangle'; lengthMm: number; widthMm: number; cornerMm: number }
  /** Closed rings of points; a ring round soap runs against the clock, one round a hole with it. */
  | { kind: 'rings'; rings: Ring[] };

/** x and y in turn, mm. The last point is joined to the first. */
export type Ring = readonly number[];

/** A direction in the plane of the brim. */
export const AXES = ['length', 'width'] as const;
export type Axis = (typeof AXES)[number];

/** A part of the plane of a level surface, mm from its middle; sides may be infinite. */
export interface Window {
  fromX: number;
  toX: number;
  fromY: number;
  toY: number;
}

export const WHOLE_PLANE: Window = {
  fromX: Number.NEGATIVE_INFINITY,
  toX: Number.POSITIVE_INFINITY,
  fromY: Number.NEGATIVE_INFINITY,
  toY: Number.POSITIVE_INFINITY,
};

/** How far an outline reaches along the line through its middle, mm; both zero where the line misses it. */
export function spanOf(outline: Outline, axis: Axis): [fromMm: number, toMm: number] {
  switch (outline.kind) {
    case 'circle':
      return [-outline.diameterMm / 2, outline.diameterMm / 2];
    case 'rectangle': {
      const half = (axis === 'length' ? outline.lengthMm : outline.widthMm) / 2;
      return [-half, half];
    }
    case 'rings':
      return ringsSpan(outline.rings, axis);
  }
}

/** Area of the part of an outline that lies within a window, mm². */
export function areaWithin(outline: Outline, window: Window): number {
  switch (outline.kind) {
    case 'circle':
      return roundedWithin(outline.diameterMm / 2, outline.diameterMm / 2, outline.diameterMm / 2, window);
    case 'rectangle':
      return roundedWithin(outline.lengthMm / 2, outline.widthMm / 2, outline.cornerMm, window);
    case 'rings':
      return outline.rings.reduce((sum, ring) => sum + ringArea(clipped(ring, window)), 0);
  }
}

/**
 * A rectangle with round corners within a window: the area function of its first quarter, continued as an odd function
 * to the others and taken at the window's four corners. A circle is one whose corners are all of it.
 */
function roundedWithin(halfX: number, halfY: number, radius: number, window: Window): number {
  const { fromX, toX, fromY, toY } = window;
  if (!(toX > fromX && toY > fromY)) return 0;
  return (
    signedArea(toX, toY, halfX, halfY, radius) -
    signedArea(fromX, toY, halfX, halfY, radius) -
    signedArea(toX, fromY, halfX, halfY, radius) +
    signedArea(fromX, fromY, halfX, halfY, radius)
  );
}

/** The area function of the first quarter, continued as an odd function to the others. */
function signedArea(x: number, y: number, halfX: number, halfY: number, radius: number): number {
  const within = quarterArea(
    Math.min(Math.abs(x), halfX),
    Math.min(Math.abs(y), halfY),
    halfX,
    halfY,
    radius,
  );
  return Math.sign(x) * Math.sign(y) * within;
}

/** Area of the first quarter below x and y. */
function quarterArea(x: number, y: number, halfX: number, halfY: number, radius: number): number {
  const u = x - (halfX - radius);
  const v = y - (halfY - radius);
  if (u <= 0 || v <= 0) return x * y;
  return x * y - u * v + discWithin(u, v, radius);
}

/** Quarter of a disc within 0 to u and 0 to v: a rectangle to where the arc comes below v, then under the arc. */
function discWithin(u: number, v: number, radius: number): number {
  if (u ** 2 + v ** 2 <= radius ** 2) return u * v;
  const meets = Math.sqrt(Math.max(0, radius ** 2 - v ** 2));
  return v * meets + underArc(u, radius) - underArc(meets, radius);
}

/** Area under the arc from its middle to t. */
function underArc(t: number, radius: number): number {
  const height = Math.sqrt(Math.max(0, radius ** 2 - t ** 2));
  return (t * height + radius ** 2 * Math.asin(Math.min(1, t / radius))) / 2;
}

/** Area inside a ring, mm², by the surveyor's formula; negative when it runs with the clock. */
export function ringArea(ring: Ring): number {
  let twice = 0;
  for (let at = 0; at < ring.length; at += 2) {
    const next = at + 2 === ring.length ? 0 : at + 2;
    twice += (ring[at] ?? 0) * (ring[next + 1] ?? 0) - (ring[next] ?? 0) * (ring[at + 1] ?? 0);
  }
  return twice / 2;
}

/**
 * A ring cut to a window, side by side (I. E. Sutherland and G. W. Hodgman, Reentrant Polygon Clipping, CACM 17, 1974).
 * Edges that it leaves along a side run there and back, and have no area.
 */
function clipped(ring: Ring, { fromX, toX, fromY, toY }: Window): Ring {
  let cut = ring;
  if (Number.isFinite(fromX)) cut = clipSide(cut, 0, fromX, 1);
  if (Number.isFinite(toX)) cut = clipSide(cut, 0, toX, -1);
  if (Number.isFinite(fromY)) cut = clipSide(cut, 1, fromY, 1);
  if (Number.isFinite(toY)) cut = clipSide(cut, 1, toY, -1);
  return cut;
}

function clipSide(ring: Ring, across: 0 | 1, limit: number, sign: 1 | -1): number[] {
  const kept: number[] = [];
  for (let at = 0; at < ring.length; at += 2) {
    const next = at + 2 === ring.length ? 0 : at + 2;
    const [x, y, nextX, nextY] = [ring[at] ?? 0, ring[at + 1] ?? 0, ring[next] ?? 0, ring[next + 1] ?? 0];
    const inside = sign * ((across === 0 ? x : y) - limit);
    const nextInside = sign * ((across === 0 ? nextX : nextY) - limit);
    if (inside >= 0) kept.push(x, y);
    if (inside >= 0 !== nextInside >= 0) {
      const t = inside / (inside - nextInside);
      kept.push(x + t * (nextX - x), y + t * (nextY - y));
    }
  }
  return kept;
}

function ringsSpan(rings: readonly Ring[], axis: Axis): [number, number] {
  const along = axis === 'length' ? 0 : 1;
  let [from, to] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const ring of rings) {
    for (let at = 0; at < ring.length; at += 2) {
      const next = at + 2 === ring.length ? 0 : at + 2;
      const [across, nextAcross] = [ring[at + 1 - along] ?? 0, ring[next + 1 - along] ?? 0];
      if (across >= 0 === nextAcross >= 0) continue;
      const [here, there] = [ring[at + along] ?? 0, ring[next + along] ?? 0];
      const meets = here + (across / (across - nextAcross)) * (there - here);
      from = Math.min(from, meets);
      to = Math.max(to, meets);
    }
  }
  return from <= to ? [from, to] : [0, 0];
}
