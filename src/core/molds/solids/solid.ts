import { type Axis, areaWithin, type Outline, spanOf, type Window } from './outline';

/**
 * The inside of a cavity as questions: what it holds up to a height, how wide it is there. Heights are from the
 * floor, in millimetres; volumes in millilitres; areas in square millimetres.
 */
export interface Solid {
  /** Height from the floor to the brim. */
  depthMm: number;
  /** Heights at which its width may turn back, where they are known: an even search would miss a narrow belly. */
  turnsMm?: readonly number[];
  /** Volume below a height of 0 to the depth. */
  volumeBelowMl(heightMm: number): number;
  /** Area of the level surface at a height. */
  areaAtMm2(heightMm: number): number;
  /** Outline of the level surface at a height, seen from above. */
  outlineAt(heightMm: number): Outline;
  /** How far the level surface reaches along the line through the middle. */
  spanAtMm(heightMm: number, axis: Axis): [fromMm: number, toMm: number];
  /** Area of the part of the level surface that lies within a window. */
  areaWithinMm2(heightMm: number, window: Window): number;
}

export const MM3_PER_ML = 1000;

/** A solid whose outlines say how wide it is. */
export function outlined(solid: Pick<Solid, 'depthMm' | 'volumeBelowMl' | 'areaAtMm2' | 'outlineAt'>): Solid {
  return {
    ...solid,
    spanAtMm: (heightMm, axis) => spanOf(solid.outlineAt(heightMm), axis),
    areaWithinMm2: (heightMm, window) => areaWithin(solid.outlineAt(heightMm), window),
  };
}

/** Round at every height: circles of radius `radiusAt`. */
export function roundSolid(
  depthMm: number,
  radiusAtMm: (heightMm: number) => number,
  volumeBelowMm3: (heightMm: number) => number,
): Solid {
  return outlined({
    depthMm,
    volumeBelowMl: (heightMm) => volumeBelowMm3(heightMm) / MM3_PER_ML,
    areaAtMm2: (heightMm) => Math.PI * radiusAtMm(heightMm) ** 2,
    outlineAt: (heightMm) => ({ kind: 'circle', diameterMm: 2 * radiusAtMm(heightMm) }),
  });
}
