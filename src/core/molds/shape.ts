import type { Shape } from './mold';

/** A shape whose inside is known in millimetres. */
export type KnownShape = Exclude<Shape, { kind: 'capacity-only' }>;

const MM3_PER_ML = 1000;

export function isKnown(shape: Shape): shape is KnownShape {
  return shape.kind !== 'capacity-only';
}

/** Height of the cavity from its floor to its brim, mm. */
export function depthMm(shape: KnownShape): number {
  return shape.kind === 'hemisphere' ? shape.diameterMm / 2 : shape.depthMm;
}

/** Width of the section through the cavity's middle, along its longer side, at its widest, mm. */
export function widthMm(shape: KnownShape): number {
  return shape.kind === 'box' ? Math.max(shape.lengthMm, shape.widthMm) : shape.diameterMm;
}

/**
 * Volume below `heightMm`, mL.
 *
 * Spherical cap: V = πh²(3r − h)/3 (Bronshtein et al.,
 * Handbook of Mathematics, section on solids; from memory).
 *
 * @throws RangeError when the height is outside the cavity
 */
export function volumeBelowMl(shape: KnownShape, heightMm: number): number {
  if (!(heightMm >= 0 && heightMm <= depthMm(shape))) throw new RangeError('height is outside the cavity');
  switch (shape.kind) {
    case 'box':
      return (shape.lengthMm * shape.widthMm * heightMm) / MM3_PER_ML;
    case 'cylinder':
      return (Math.PI * (shape.diameterMm / 2) ** 2 * heightMm) / MM3_PER_ML;
    case 'hemisphere': {
      const radius = shape.diameterMm / 2;
      return (Math.PI * heightMm ** 2 * (3 * radius - heightMm)) / 3 / MM3_PER_ML;
    }
  }
}

/** Volume of the whole cavity by its dimensions, mL. */
export function shapeCapacityMl(shape: KnownShape): number {
  return volumeBelowMl(shape, depthMm(shape));
}

/**
 * Height that a volume reaches, mm, by bisection to below a nanometre: volume grows with height.
 *
 * @throws RangeError when the volume is negative or more than the cavity holds
 */
export function heightForVolumeMm(shape: KnownShape, volumeMl: number): number {
  const capacity = shapeCapacityMl(shape);
  if (!(volumeMl >= 0 && volumeMl <= capacity * (1 + 1e-12))) {
    throw new RangeError('volume is outside the cavity');
  }
  let low = 0;
  let high = depthMm(shape);
  for (let step = 0; step < 60; step++) {
    const middle = (low + high) / 2;
    if (volumeBelowMl(shape, middle) < volumeMl) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Half the section's width at a height, mm. */
export function halfWidthAtMm(shape: KnownShape, heightMm: number): number {
  if (shape.kind !== 'hemisphere') return widthMm(shape) / 2;
  const radius = shape.diameterMm / 2;
  const belowCentre = radius - heightMm;
  return Math.sqrt(Math.max(0, radius ** 2 - belowCentre ** 2));
}
