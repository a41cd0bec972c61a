/**
 * The inside of a cavity as questions: what it holds up to a height, how wide it is there. Heights are from the
 * floor, in millimetres; volumes in millilitres; areas in square millimetres.
 */
export interface Solid {
  /** Height from the floor to the brim. */
  depthMm: number;
  /** Volume below a height of 0 to the depth. */
  volumeBelowMl(heightMm: number): number;
  /** Area of the level surface at a height. */
  areaAtMm2(heightMm: number): number;
  /** Half the width of the section through the middle, along the side that is drawn. */
  halfWidthAtMm(heightMm: number): number;
  /** Outline of the level surface at a height, seen from above. */
  outlineAt(heightMm: number): Outline;
}

export type Outline =
  | { kind: 'circle'; diameterMm: number }
  | { kind: 'rectangle'; lengthMm: number; widthMm: number; cornerMm: number };

export const MM3_PER_ML = 1000;

/** Round at every height: circles of radius `radiusAt`. */
export function roundSolid(
  depthMm: number,
  radiusAtMm: (heightMm: number) => number,
  volumeBelowMm3: (heightMm: number) => number,
): Solid {
  return {
    depthMm,
    volumeBelowMl: (heightMm) => volumeBelowMm3(heightMm) / MM3_PER_ML,
    areaAtMm2: (heightMm) => Math.PI * radiusAtMm(heightMm) ** 2,
    halfWidthAtMm: radiusAtMm,
    outlineAt: (heightMm) => ({ kind: 'circle', diameterMm: 2 * radiusAtMm(heightMm) }),
  };
}
