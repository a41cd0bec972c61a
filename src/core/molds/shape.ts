import type { Shape } from './mold';
import { box } from './solids/box';
import { contours } from './solids/contours';
import type { Axis, Outline } from './solids/outline';
import { drawnOut, revolved } from './solids/profile';
import { cylinder, frustum, hemisphere, sphere } from './solids/round';
import type { Solid } from './solids/solid';
import { halfCylinder } from './solids/trough';
import { waterSteps } from './solids/waterSteps';

/** A shape whose inside is known in millimetres. */
export type KnownShape = Exclude<Shape, { kind: 'capacity-only' }>;

export function isKnown(shape: Shape): shape is KnownShape {
  return shape.kind !== 'capacity-only';
}

/** A shape's inside as questions; every shape answers the same ones. */
export function solidOf(shape: KnownShape): Solid {
  switch (shape.kind) {
    case 'box':
      return box(shape);
    case 'cylinder':
      return cylinder(shape);
    case 'frustum':
      return frustum(shape);
    case 'hemisphere':
      return hemisphere(shape);
    case 'sphere':
      return sphere(shape);
    case 'half-cylinder':
      return halfCylinder(shape);
    case 'revolved':
      return revolved(shape);
    case 'drawn-out':
      return drawnOut(shape);
    case 'water-steps':
      return waterSteps(shape);
    case 'model':
      return contours(shape);
  }
}

/** Height of the cavity from its floor to its brim, mm. */
export function depthMm(shape: KnownShape): number {
  return solidOf(shape).depthMm;
}

const SEARCHED_HEIGHTS = 64;

/** How far the section through the cavity's middle reaches at its widest, mm from the middle. */
export function reachMm(shape: KnownShape, axis: Axis): [fromMm: number, toMm: number] {
  const solid = solidOf(shape);
  const even = Array.from(
    { length: SEARCHED_HEIGHTS + 1 },
    (_, step) => (solid.depthMm * step) / SEARCHED_HEIGHTS,
  );
  let [from, to] = [0, 0];
  for (const heightMm of [...even, ...(solid.turnsMm ?? [])]) {
    const span = solid.spanAtMm(heightMm, axis);
    from = Math.min(from, span[0]);
    to = Math.max(to, span[1]);
  }
  return [from, to];
}

/** Width of the section through the cavity's middle at its widest, mm. */
export function widthMm(shape: KnownShape, axis: Axis = usualAxis(shape)): number {
  const [from, to] = reachMm(shape, axis);
  return to - from;
}

/** The way a section is cut when nobody says: a log across, any other along its longer side. */
export function usualAxis(shape: KnownShape): Axis {
  if (shape.kind === 'half-cylinder' || shape.kind === 'drawn-out') return 'width';
  const [from, to] = reachMm(shape, 'length');
  const [across, toAcross] = reachMm(shape, 'width');
  return toAcross - across > to - from ? 'width' : 'length';
}

/**
 * Volume below `heightMm`, mL.
 *
 * @throws RangeError when the height is outside the cavity
 */
export function volumeBelowMl(shape: KnownShape, heightMm: number): number {
  const solid = solidOf(shape);
  if (!(heightMm >= 0 && heightMm <= solid.depthMm)) throw new RangeError('height is outside the cavity');
  return solid.volumeBelowMl(heightMm);
}

/** Volume of the whole cavity by its dimensions, mL. */
export function shapeCapacityMl(shape: KnownShape): number {
  const solid = solidOf(shape);
  return solid.volumeBelowMl(solid.depthMm);
}

/**
 * Height that a volume reaches, mm, by bisection to below a nanometre: volume grows with height.
 *
 * @throws RangeError when the volume is negative or more than the cavity holds
 */
export function heightForVolumeMm(shape: KnownShape, volumeMl: number): number {
  const solid = solidOf(shape);
  const capacity = solid.volumeBelowMl(solid.depthMm);
  if (!(volumeMl >= 0 && volumeMl <= capacity * (1 + 1e-12))) {
    throw new RangeError('volume is outside the cavity');
  }
  return whereGrowing(solid.depthMm, (heightMm) => solid.volumeBelowMl(heightMm) - volumeMl);
}

/** Area of the level surface at a height, mm². */
export function areaAtMm2(shape: KnownShape, heightMm: number): number {
  return solidOf(shape).areaAtMm2(heightMm);
}

/** Outline of the level surface at a height, seen from above. */
export function outlineAt(shape: KnownShape, heightMm: number): Outline {
  return solidOf(shape).outlineAt(heightMm);
}

/** How far the section through the middle reaches at a height, mm from the middle. */
export function spanAtMm(shape: KnownShape, heightMm: number, axis: Axis): [fromMm: number, toMm: number] {
  return solidOf(shape).spanAtMm(heightMm, axis);
}

/**
 * Height of the first level surface that is a circle of this diameter, mm; null where the shape is not round, or
 * never so wide.
 */
export function heightForDiscMm(shape: KnownShape, diameterMm: number): number | null {
  const solid = solidOf(shape);
  if (solid.outlineAt(solid.depthMm / 2).kind !== 'circle') return null;
  const steps = Array.from(
    { length: SEARCHED_HEIGHTS + 1 },
    (_, step) => (solid.depthMm * step) / SEARCHED_HEIGHTS,
  );
  const wideAt = (heightMm: number) => 2 * solid.spanAtMm(heightMm, 'length')[1];
  const wide = steps.findIndex((heightMm) => wideAt(heightMm) >= diameterMm);
  if (wide < 0) return null;
  const [from, to] = [steps[wide - 1] ?? 0, steps[wide] ?? 0];
  return from + whereGrowing(to - from, (rise) => wideAt(from + rise) - diameterMm);
}

/**
 * Where a function that grows from 0 to `most` passes zero, by bisection until the last digit.
 *
 * @param within enough when the place is known to this: the answer is bisection's, found in fewer steps
 */
export function whereGrowing(most: number, figure: (at: number) => number, within = 0): number {
  if (within > 0) return whereGrowingWithin(most, figure, within);
  let low = 0;
  let high = most;
  for (let step = 0; step < 100 && high > low; step++) {
    const middle = (low + high) / 2;
    if (figure(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * The same among the cells that bisection would halve down to, so that it comes to the same cell: where a straight line
 * crosses zero, pulled to the middle, and never in many more steps than bisection takes. Oliveira and Takahashi, An
 * Enhancement of the Bisection Method Average Performance Preserving Minmax Optimality, ACM TOMS 47 (2020), from memory.
 */
function whereGrowingWithin(most: number, figure: (at: number) => number, within: number): number {
  const halvings = Math.min(100, Math.max(0, Math.ceil(Math.log2(most / within))));
  const cells = 2 ** halvings;
  const cell = most / cells;
  let [low, high] = [0, cells];
  if (cells > 1) {
    let [atLow, atHigh] = [figure(0), figure(most)];
    // Where nothing grows, a straight line says nothing of where it begins to.
    let [isLowFlat, isHighFlat] = [false, false];
    if (atLow >= 0) high = 1;
    if (atHigh < 0) low = cells - 1;
    for (let reach = SPARE * cells; high - low > 1; reach /= 2) {
      const middle = (low + high) / 2;
      const straight = (atHigh * low - atLow * high) / (atHigh - atLow);
      const side = Math.sign(middle - straight);
      const pull = ((high - low) ** 2 * PULL) / cells;
      const isFar = !isLowFlat && !isHighFlat && pull <= Math.abs(middle - straight);
      const pulled = isFar ? straight + side * pull : middle;
      const room = Math.max(0, reach - (high - low) / 2);
      const wanted = Math.abs(pulled - middle) <= room ? pulled : middle - side * room;
      const at = Math.min(high - 1, Math.max(low + 1, Math.round(wanted)));
      const found = figure(at * cell);
      if (found < 0) {
        isLowFlat = isAlike(found, atLow);
        [low, atLow] = [at, found];
      } else {
        isHighFlat = isAlike(found, atHigh);
        [high, atHigh] = [at, found];
      }
    }
  }
  return ((low + high) / 2) * cell;
}

/** How much of the way to the middle: its authors' usual choice. */
const PULL = 0.2;
/** So many times as wide as in bisection it may stay: two for one step more. */
const SPARE = 2;

function isAlike(one: number, other: number): boolean {
  return Math.abs(one - other) <= 1e-9 * Math.abs(other);
}
