import type { Shape } from './mold';
import { box } from './solids/box';
import { drawnOut, revolved } from './solids/profile';
import { cylinder, frustum, hemisphere, sphere } from './solids/round';
import type { Outline, Solid } from './solids/solid';
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
  }
}

/** Height of the cavity from its floor to its brim, mm. */
export function depthMm(shape: KnownShape): number {
  return solidOf(shape).depthMm;
}

const SEARCHED_HEIGHTS = 64;

/** Width of the section through the cavity's middle at its widest, mm. */
export function widthMm(shape: KnownShape): number {
  const { depthMm: depth, halfWidthAtMm: half } = solidOf(shape);
  const heights = Array.from(
    { length: SEARCHED_HEIGHTS + 1 },
    (_, step) => (depth * step) / SEARCHED_HEIGHTS,
  );
  return 2 * Math.max(...heights.map(half));
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

/** Half the section's width at a height, mm. */
export function halfWidthAtMm(shape: KnownShape, heightMm: number): number {
  return solidOf(shape).halfWidthAtMm(heightMm);
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
  const wide = steps.findIndex((heightMm) => 2 * solid.halfWidthAtMm(heightMm) >= diameterMm);
  if (wide < 0) return null;
  const [from, to] = [steps[wide - 1] ?? 0, steps[wide] ?? 0];
  return from + whereGrowing(to - from, (rise) => 2 * solid.halfWidthAtMm(from + rise) - diameterMm);
}

/** Where a function that grows from 0 to `most` passes zero, by bisection until the last digit. */
export function whereGrowing(most: number, figure: (at: number) => number): number {
  let low = 0;
  let high = most;
  for (let step = 0; step < 100 && low < high; step++) {
    const middle = (low + high) / 2;
    if (figure(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
